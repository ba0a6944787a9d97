/** A font as a project may bring one. */
export const ownFontFile =
  'node_modules/@fontsource-variable/commissioner/files/commissioner-latin-wght-normal.woff2';
