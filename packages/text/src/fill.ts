import { IntlMessageFormat } from 'intl-messageformat';

/** What a text is filled with, by name. */
export type Values = Readonly<Record<string, string | number>>;

/** The language that everything is said in. */
const LANGUAGE = 'en';

const compiled = new Map<string, IntlMessageFormat>();

function formatOf(text: string): IntlMessageFormat {
  let format = compiled.get(text);
  if (!format) {
    format = new IntlMessageFormat(text, LANGUAGE, undefined, { ignoreTag: true });
    compiled.set(text, format);
  }
  return format;
}

/**
 * Fills a text in ICU MessageFormat.
 * @throws where the text asks for what it is not given
 */
export const fill = (text: string, values: Values = {}): string =>
  text.includes('{') ? String(formatOf(text).format(values)) : text;
