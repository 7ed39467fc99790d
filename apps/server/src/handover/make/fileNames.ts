/** Names of files that are told apart by every system, upper and lower case taken for the same. */
export class FileNames {
  private readonly used = new Set<string>();

  /**
   * A name made of a text that people wrote, counted up where another file has it.
   * @param rest its end, such as `.sor`
   */
  next(text: string, rest: string): string {
    const plain =
      text
        .normalize('NFKD')
        .replace(/[^\w.-]+/g, '-')
        .replace(/^[-.]+|-+$/g, '') || 'file';
    for (let count = 1; ; count++) {
      const full = `${plain}${count === 1 ? '' : `-${count}`}${rest}`;
      if (this.used.has(full.toLowerCase())) continue;
      this.used.add(full.toLowerCase());
      return full;
    }
  }
}
