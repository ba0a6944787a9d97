import { NoText } from '../formats';

const web = /^https?:\/\/[^\s/]+\S*$/i;
const mail = /^[^\s@:/?#]+@[^\s@:/?#]+\.[^\s@:/?#]+$/;
const phone = /^\+?\d[\d().\s-]{3,}$/;

/**
 * The address that a value is made into: of http, https, mailto or tel (RFC 3986, 6068, 3966), and
 * of nothing else, so that no value can be run.
 */
export function addressOf(value: string): string | NoText {
  const text = value.trim();
  if (web.test(text)) return text;
  if (/^www\.\S+\.\S+$/i.test(text)) return `https://${text}`;
  const [, scheme, rest = text] = /^(mailto|tel):(.*)$/i.exec(text) ?? [];
  if (scheme?.toLowerCase() !== 'tel' && mail.test(rest.split('?')[0] ?? ''))
    return `mailto:${rest}`;
  if (scheme?.toLowerCase() !== 'mailto' && phone.test(rest))
    return `tel:${rest.replace(/[().\s-]/g, '')}`;
  const short = text.length > 40 ? `${text.slice(0, 39)}…` : text;
  return new NoText(`“${short}” is no address of http, https, mailto or tel`);
}

/** Whether words are such an address: nothing else may ever become one. */
export const isLeading = (words: unknown): words is string =>
  typeof words === 'string' && /^(?:https?:\/\/|mailto:|tel:)/i.test(words);
