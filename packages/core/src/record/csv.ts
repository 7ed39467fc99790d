import Papa from 'papaparse';
import { type Parsed, parsed, refused } from './parsed.ts';

/** What a file that is no text looks like. */
type OtherFile = 'png' | 'jpeg' | 'gif' | 'pdf' | 'zip';

/** Why a list cannot be read as CSV. */
export type CsvProblem =
  | { code: 'noText' | 'empty' | 'oneColumn' | 'noRows' }
  | { code: 'otherFile'; file: OtherFile }
  /** A quoted cell that is not closed. */
  | { code: 'quotes'; row: number };

/** What is to be said of how a file was read. */
export interface CsvNote {
  code: 'windows1252';
}

export interface Table {
  header: string[];
  rows: string[][];
}

const SIGNATURES: [OtherFile, number[]][] = [
  ['png', [0x89, 0x50, 0x4e, 0x47]],
  ['jpeg', [0xff, 0xd8, 0xff]],
  ['gif', [0x47, 0x49, 0x46, 0x38]],
  ['pdf', [0x25, 0x50, 0x44, 0x46]],
  ['zip', [0x50, 0x4b, 0x03, 0x04]],
];

/** How a text file is encoded. */
export type TextEncoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

export interface DecodedText {
  text: string;
  /** `windows-1252` is a guess: nothing in such a file tells. */
  encoding: TextEncoding;
}

const NO_TEXT = { code: 'noText' } as const;

/** Characters that no text has: controls other than tab, line ends, form feed and end of file. */
// eslint-disable-next-line no-control-regex
const CONTROLS = /[\u0000-\u0008\u000b\u000e-\u0019\u001b-\u001f\u007f-\u009f]/;

/** Bytes 80 to 9F of Windows-1252; blanks are not assigned. Source: index of the WHATWG Encoding Standard. */
const UPPER = '€ ‚ƒ„…†‡ˆ‰Š‹Œ Ž  ‘’“”•–—˜™š›œ žŸ';

/** Some runtimes decode these bytes as controls, as ISO 8859-1 has them. */
const withUpper = (text: string): string =>
  text.replace(/[\u0080-\u009f]/g, (control) => {
    const letter = UPPER[control.charCodeAt(0) - 0x80]!;
    return letter === ' ' ? control : letter;
  });

/** UTF-16 by its mark, or by the zeros that plain letters leave in every second byte. */
function utf16Of(bytes: Uint8Array): TextEncoding | null {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const start = bytes.subarray(0, 400);
  const zeros = (odd: number) =>
    start.filter((byte, index) => index % 2 === odd && byte === 0).length;
  const [even, odd] = [zeros(0), zeros(1)];
  if (even + odd < start.length / 4) return null;
  return even === 0 ? 'utf-16le' : odd === 0 ? 'utf-16be' : null;
}

/**
 * Decodes the bytes of a text file: UTF-8 or UTF-16, with or without a byte order mark, else Windows-1252,
 * which older programs write. Anything else is refused by what it looks like.
 */
export function decodeText(bytes: Uint8Array): Parsed<DecodedText, CsvProblem> {
  for (const [file, signature] of SIGNATURES) {
    if (signature.every((byte, index) => bytes[index] === byte)) {
      return refused({ code: 'otherFile', file });
    }
  }
  const read = (encoding: TextEncoding): string | null => {
    try {
      return new TextDecoder(encoding, { fatal: true }).decode(bytes);
    } catch {
      return null;
    }
  };
  for (const encoding of [utf16Of(bytes) ?? 'utf-8', 'windows-1252'] as const) {
    const decoded = read(encoding);
    const text = encoding === 'windows-1252' && decoded !== null ? withUpper(decoded) : decoded;
    if (text !== null) return CONTROLS.test(text) ? refused(NO_TEXT) : parsed({ text, encoding });
  }
  return refused(NO_TEXT);
}

/** What is to be said of a text whose encoding is a guess. */
export const encodingNotes = ({ encoding }: DecodedText): CsvNote[] =>
  encoding === 'windows-1252' ? [{ code: 'windows1252' }] : [];

/**
 * Reads CSV text: comma, semicolon or tab, quotes as in RFC 4180, CRLF or LF, with or without a byte
 * order mark. The first row becomes the header; blank rows are passed over at the end only.
 */
export function readCsv(text: string): Parsed<Table, CsvProblem> {
  const bare = text.startsWith('\uFEFF') ? text.slice(1) : text;
  if (bare.trim() === '') return refused({ code: 'empty' });
  const result = Papa.parse<string[]>(bare, { delimiter: delimiterOf(bare) });
  const quotes = result.errors.find((error) => error.type === 'Quotes');
  if (quotes) return refused({ code: 'quotes', row: (quotes.row ?? 0) + 1 });
  const [header, ...rows] = result.data;
  while (rows.length > 0 && rows.at(-1)!.every((cell) => cell.trim() === '')) rows.pop();
  // A heading may stand alone in its row, above the titles.
  if (!header || result.data.slice(0, 30).every((row) => row.length < 2))
    return refused({ code: 'oneColumn' });
  if (rows.length === 0) return refused({ code: 'noRows' });
  return parsed({ header: header.map((title) => title.trim()), rows });
}

const DELIMITERS = [',', ';', '\t', '|'];

/** What parts the cells: guessed below the heading, a line of words that has none, which would spoil the guess. */
function delimiterOf(text: string): string {
  const lines = text.split(/\r?\n/);
  const first = lines.findIndex((line) => DELIMITERS.some((one) => line.split(one).length > 2));
  const body = lines.slice(Math.max(0, first)).join('\n');
  return Papa.parse(body, { delimitersToGuess: DELIMITERS, preview: 10 }).meta.delimiter;
}

/**
 * Writes CSV as in RFC 4180: commas, CRLF, quotes where they are needed. A cell that a spreadsheet
 * would run as a formula, also behind blanks or by a sign of full width, gets a leading apostrophe; negative
 * figures stay as they are.
 */
export function writeCsv(
  header: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string {
  const body = Papa.unparse(
    { fields: [...header], data: rows.map((row) => [...row]) },
    {
      newline: '\r\n',
      // A plain negative figure is none.
      escapeFormulae: /^[\t\r\n]|^\s*[=@\uff0b\uff0d\uff1d\uff20]|^\s*[+-](?!\d*\.?\d+$)/,
    },
  );
  return `${body}\r\n`;
}

/** A table as CSV text that reads back as the same cells: for a list that goes on, not for a spreadsheet. */
export const plainCsv = ({ header, rows }: Table): string =>
  // As plain rows: under a heading of one cell, named fields would lose all other columns.
  Papa.unparse([header, ...rows], { newline: '\r\n' });

/** Whether bytes are a zip, as workbooks are. Source: PKWARE APPNOTE, local file header signature. */
export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;
