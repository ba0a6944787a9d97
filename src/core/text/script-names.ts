/** Scripts that characters may be of, by their names (Unicode Standard Annex 24, PropertyValueAliases). */
const names =
  'Adlam Ahom Anatolian_Hieroglyphs Avestan Balinese Bamum Bassa_Vah Batak Bhaiksuki Bopomofo ' +
  'Brahmi Braille Buginese Buhid Canadian_Aboriginal Carian Caucasian_Albanian Chakma Cham ' +
  'Cherokee Chorasmian Coptic Cuneiform Cypriot Cypro_Minoan Deseret Devanagari Dives_Akuru Dogra ' +
  'Duployan Egyptian_Hieroglyphs Elbasan Elymaic Glagolitic Gothic Grantha Gujarati ' +
  'Gunjala_Gondi Gurmukhi Han Hangul Hanifi_Rohingya Hanunoo Hatran Hiragana Imperial_Aramaic ' +
  'Inscriptional_Pahlavi Inscriptional_Parthian Javanese Kaithi Kannada Katakana Kayah_Li ' +
  'Kharoshthi Khitan_Small_Script Khojki Khudawadi Lao Lepcha Limbu Linear_A Linear_B Lisu Lycian ' +
  'Lydian Mahajani Makasar Malayalam Mandaic Manichaean Marchen Masaram_Gondi Medefaidrin ' +
  'Meetei_Mayek Mende_Kikakui Meroitic_Cursive Meroitic_Hieroglyphs Miao Modi Mongolian Mro ' +
  'Multani Myanmar Nabataean Nandinagari New_Tai_Lue Newa Nko Nushu Nyiakeng_Puachue_Hmong Ogham ' +
  'Ol_Chiki Old_Hungarian Old_Italic Old_North_Arabian Old_Permic Old_Persian Old_Sogdian ' +
  'Old_South_Arabian Old_Turkic Old_Uyghur Oriya Osage Osmanya Pahawh_Hmong Palmyrene Pau_Cin_Hau ' +
  'Phags_Pa Phoenician Psalter_Pahlavi Rejang Runic Samaritan Saurashtra Sharada Shavian Siddham ' +
  'SignWriting Sinhala Sogdian Sora_Sompeng Soyombo Sundanese Syloti_Nagri Syriac Tagalog ' +
  'Tagbanwa Tai_Le Tai_Tham Tai_Viet Takri Tangsa Tangut Thaana Tibetan Tifinagh Tirhuta Toto ' +
  'Ugaritic Vai Vithkuqi Wancho Warang_Citi Yezidi Yi Zanabazar_Square';

/** The script of a character that few fonts have, as people write it; undefined: another one, or none. */
export function scriptOf(char: string): string | undefined {
  const name = names.split(' ').find((each) => new RegExp(`^\\p{Script=${each}}`, 'u').test(char));
  return name?.replaceAll('_', ' ');
}
