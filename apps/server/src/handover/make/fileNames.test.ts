import fc from 'fast-check';
import { FileNames } from './fileNames.ts';

describe('names of files in a package', () => {
  it('are such as every system takes', () => {
    const names = new FileNames();
    expect(names.next('Mühle: 3/4 "neu"', '.sor')).toBe('Mu-hle-3-4-neu.sor');
    expect(names.next('../../etc/passwd', '.sor')).toBe('etc-passwd.sor');
    expect(names.next('線路', '.json')).toBe('file.json');
  });

  it('are told apart where upper and lower case are the same', () => {
    const names = new FileNames();
    const all = ['Mill', 'mill', 'MILL'].map((name) => names.next(name, '.sor'));
    expect(all).toEqual(['Mill.sor', 'mill-2.sor', 'MILL-3.sor']);
  });

  // Reserved signs of file systems: POSIX.1-2017, 3.282 (portable file name characters).
  it('are portable and of one kind each, whatever people wrote', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'binary' }), { maxLength: 20 }), (texts) => {
        const names = new FileNames();
        const all = texts.map((text) => names.next(text, '.sor'));
        for (const name of all) expect(name).toMatch(/^[\w][\w.-]*$/);
        expect(new Set(all.map((name) => name.toLowerCase())).size).toBe(all.length);
      }),
    );
  });
});
