import { allowedHosts, isForUs, isForeignWrite } from './hosts.ts';

describe('the name a request is sent to', () => {
  const allowed = allowedHosts('0.0.0.0', 'cordel.example, van.local');

  it.each([
    ['localhost:8044', true],
    ['LOCALHOST', true],
    ['127.0.0.1:8044', true],
    ['192.168.1.20', true],
    ['[::1]:8044', true],
    ['cordel.example', true],
    ['van.local:8044', true],
    ['evil.example', false],
    ['localhost.evil.example:8044', false],
    ['127.0.0.1.evil.example', false],
    ['', false],
    [null, false],
  ])('%s: %p', (header, ours) => expect(isForUs(header, allowed)).toBe(ours));

  it('is that of this machine where none is listed', () => {
    expect(isForUs('van.local', allowedHosts())).toBe(false);
    expect(isForUs('localhost', allowedHosts())).toBe(true);
  });
});

describe('a write', () => {
  const headers = (origin?: string) =>
    new Headers({ host: 'localhost:8044', ...(origin === undefined ? {} : { origin }) });

  it.each([
    ['POST', 'http://localhost:8044', false],
    ['POST', undefined, false],
    ['POST', 'http://evil.example', true],
    ['DELETE', 'http://localhost:9000', true],
    ['PUT', 'null', true],
    ['GET', 'http://evil.example', false],
  ])('%s of a page from %s is foreign: %p', (method, origin, foreign) =>
    expect(isForeignWrite(method, headers(origin))).toBe(foreign),
  );
});
