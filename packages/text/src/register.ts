const all: Readonly<Record<string, string>>[] = [];

/** Notes the texts of a catalog: whoever checks or translates them finds them all. */
export const register = (texts: Readonly<Record<string, string>>): void => {
  all.push(texts);
};

/** Every text of the catalogs that were loaded, with its code. */
export const registered = (): [code: string, text: string][] =>
  all.flatMap((texts) => Object.entries(texts));
