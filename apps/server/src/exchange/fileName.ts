/** A file name made of a project's name, in letters every system takes. */
export const fileName = (name: string, rest: string): string =>
  `${
    name
      .normalize('NFKD')
      .replace(/[^\w]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .toLowerCase() || 'project'
  }${rest}`;
