import { MessageFormat } from 'messageformat';
import { DraftFunctions } from 'messageformat/functions';
import { describe, expect, test } from 'vitest';
import { NoText } from '../../src/core/formats';
import { compileMessage } from '../../src/core/formats/message/message';

const inputs: Readonly<Record<string, string | number | boolean>> = {
  count: 1,
  two: 2,
  many: 21,
  half: 1.5,
  zero: 0,
  share: 0.125,
  price: 1_234.5,
  name: 'Lace',
  colour: 'red',
  sold: true,
  made: '2026-03-02T14:05:09Z',
  text: '42',
};

function ours(source: string, locale: string): string {
  const made = compileMessage(source, locale);
  if (!made.ok) return `refused: ${made.error}`;
  const text = made.value((name) => inputs[name]);
  return text instanceof NoText ? `no text: ${text.reason}` : text;
}

/** The reference package, formatting by itself. */
const reference = (source: string, locale: string): string =>
  new MessageFormat([locale], source, {
    bidiIsolation: 'none',
    functions: DraftFunctions,
  }).format({ ...inputs }, () => {});

/** By section of Unicode LDML 48, part 9 (MessageFormat). */
const sections: Readonly<Record<string, readonly string[]>> = {
  'simple and complex messages': [
    '',
    'Wool',
    ' spaces  stay ',
    '{{Wool}}',
    '.local $x = {|skeins|} {{{$x}}}',
    '{{ }}',
  ],
  'text and escapes': ['\\{not a placeholder\\}', 'a \\\\ b', '{|a \\| b|}', 'a\\|b', 'é 👩‍🌾 ‏'],
  variables: ['{$name}', 'Dear {$name}!', '{$count} {$sold}', '{ $name }', '{$price}'],
  literals: ['{|quoted text|}', '{unquoted}', '{42}', '{-1.5e2}', '{||}'],
  declarations: [
    '.input {$price :number minimumFractionDigits=2} {{{$price}}}',
    '.local $n = {$price :number} {{{$n} and {$n}}}',
    '.local $a = {$count} .local $b = {$a :number} {{{$b}}}',
    '.input {$price :number} .local $p = {$price :number maximumFractionDigits=0} {{{$p}}}',
  ],
  'markup and attributes': [
    'a {#b}bold{/b} word',
    '{#img /}text',
    '{$name @translate=no}',
    '{#link to=|x|}{$name}{/link}',
  ],
  'matching text': [
    '.input {$colour :string} .match $colour red {{rosy}} * {{other}}',
    '.input {$name :string} .match $name red {{rosy}} * {{other}}',
    '.input {$colour :string} .match $colour * {{other}} red {{rosy}}',
    '.input {$colour :string} .match $colour |red| {{rosy}} * {{other}}',
  ],
  'matching numbers': [
    '.input {$count :number} .match $count one {{{$count} skein}} * {{{$count} skeins}}',
    '.input {$two :number} .match $two one {{{$two} skein}} * {{{$two} skeins}}',
    '.input {$zero :number} .match $zero 0 {{none}} one {{one}} * {{some}}',
    '.input {$count :number} .match $count 1 {{just one}} one {{one}} * {{some}}',
    '.input {$many :number} .match $many one {{one}} few {{few}} many {{many}} * {{other}}',
    '.input {$half :number} .match $half one {{one}} few {{few}} many {{many}} * {{other}}',
    '.input {$two :number select=ordinal} .match $two one {{st}} two {{nd}} few {{rd}} * {{th}}',
    '.input {$two :number select=exact} .match $two one {{cat}} 2 {{two}} * {{other}}',
    '.input {$count :integer} .match $count one {{one}} * {{other}}',
    '.input {$count :number minimumFractionDigits=1} .match $count one {{one}} * {{other}}',
  ],
  'several selectors': [
    '.input {$count :number} .input {$colour :string} .match $count $colour one red {{1 red}} one * {{1}} * red {{red}} * * {{rest}}',
    '.input {$two :number} .input {$colour :string} .match $two $colour one red {{1 red}} one * {{1}} * red {{red}} * * {{rest}}',
    '.input {$count :number} .input {$two :number} .match $count $two 1 * {{a}} one 2 {{b}} * * {{c}}',
    '.input {$count :number} .input {$two :number} .match $count $two 1 3 {{a}} one 2 {{b}} * * {{c}}',
  ],
  ':number and :integer': [
    '{$price :number}',
    '{$price :number useGrouping=never}',
    '{$price :number signDisplay=always}',
    '{$price :number minimumIntegerDigits=6}',
    '{$price :number maximumSignificantDigits=2}',
    '{$half :number minimumFractionDigits=3}',
    '{$price :integer}',
    '{$half :integer}',
    '{$text :number}',
    '{0.5 :number}',
  ],
  ':offset': [
    '.local $n = {$many :offset subtract=1} {{{$n}}}',
    '.local $n = {$two :offset subtract=1} .match $n one {{and one other}} * {{and {$n} others}}',
    '{$two :offset add=3}',
  ],
  ':currency, :percent and :unit': [
    '{$price :currency currency=EUR}',
    '{$price :currency currency=JPY currencyDisplay=code}',
    '{$share :percent}',
    '{$share :percent maximumFractionDigits=1}',
    '{$two :unit unit=gram}',
    '{$two :unit unit=kilometer unitDisplay=long}',
  ],
  ':date, :time and :datetime': [
    '{$made :date timeZone=UTC}',
    '{$made :date length=long timeZone=UTC}',
    '{$made :date fields=month-day length=short timeZone=UTC}',
    '{$made :date fields=year-month-day-weekday timeZone=UTC}',
    '{$made :time timeZone=UTC}',
    '{$made :time precision=second timeZone=UTC}',
    '{$made :datetime timeZone=UTC}',
    '{$made :datetime dateLength=long timePrecision=hour timeZone=UTC}',
  ],
};

describe.each(Object.entries(sections))('%s', (_, sources) => {
  test.each(sources)('%s', (source) => {
    for (const locale of ['en', 'de', 'fr', 'ru', 'ar', 'ja', 'pl'])
      expect(ours(source, locale)).toBe(reference(source, locale));
  });
});

describe('what is wrong is said, and nothing is guessed', () => {
  test.each([
    ['{$name', /refused: .*character/],
    ['}', /refused/],
    ['{{a', /refused/],
    ['.match $count one {{a}}', /refused/],
    ['.input {$count :number} .match $count one {{a}}', /refused: .*missing fallback/],
    ['.input {$n :number} .match $n one two {{a}} * * {{b}}', /refused/],
    ['.input {$a :number} .input {$a :string} {{x}}', /refused: duplicate/],
    ['.local $a = {$a} {{x}}', /refused/],
    ['{$name :shape}', /no function :shape/],
    ['{$nobody}', /\$nobody is missing/],
    ['{$name :number}', /"Lace" is not a number/],
    ['{$name :date}', /"Lace" is not a date/],
    ['{$price :currency}', /the currency is missing/],
    ['{$price :currency currency=€}', /an option of the number is wrong|refused/],
    ['{$price :unit unit=skein}', /an option of the number is wrong/],
    ['{$price :number minimumFractionDigits=many}', /an option of the number is wrong/],
    ['{$made :date timeZone=|Mars/North|}', /an option of the date is wrong/],
    ['{$two :offset}', /an offset adds or subtracts/],
  ])('%s', (source, words) => {
    expect(ours(source, 'en')).toMatch(words);
  });
});
