import type { Json, Random } from '../../base';

/** How the values of a field are made, in the place of following what is there. */
export type Rule =
  | { readonly make: 'names' }
  | { readonly make: 'dates'; readonly around: string; readonly days: number }
  | {
      readonly make: 'amounts';
      readonly from: number;
      readonly to: number;
      readonly decimals: number;
    }
  | { readonly make: 'in turn'; readonly values: readonly string[] }
  | { readonly make: 'list'; readonly max: number; readonly of: Rule };

/** Invented names in several scripts, some of them long. */
const names = [
  'Merino lace, undyed',
  'Gotland lambswool, slate grey',
  'Пряжа из овечьей шерсти',
  'צמר גפן רך מאוד',
  'خيط صوف ناعم جدا',
  '手染めウール、藍',
  '양모 실, 쪽빛',
  'Μαλλί από το βουνό',
  'हाथ से काता ऊन',
  'Zwölf-Fäden-Überraschungswolle',
  'Žluté předivo číslo tři',
  'Handspun Shetland and silk, the very last of the autumn batch from the upper fold',
];

export function makeByRule(rule: Rule, random: Random, made: number): Json {
  switch (rule.make) {
    case 'names':
      return `${names[Math.floor(random() * names.length)]} ${made}`;
    case 'dates': {
      const days = Math.round((random() * 2 - 1) * rule.days);
      return new Date(Date.parse(rule.around) + days * 86_400_000).toISOString().slice(0, 10);
    }
    case 'amounts':
      return Number((rule.from + random() * (rule.to - rule.from)).toFixed(rule.decimals));
    case 'in turn':
      return rule.values[(made - 1) % Math.max(1, rule.values.length)] ?? '';
    case 'list':
      return Array.from({ length: Math.floor(random() * (rule.max + 1)) }, (_, index) =>
        makeByRule(rule.of, random, made + index),
      );
  }
}
