import { forgetEarly, takeEarly } from './early';

describe('an answer that was asked for before the scripts were there', () => {
  beforeEach(() => {
    window.cordelEarly = new Map([['/api/projects', Promise.resolve({} as Response)]]);
  });

  it('is handed out once', () => {
    expect(takeEarly('/api/projects')).toBeDefined();
    expect(takeEarly('/api/projects')).toBeUndefined();
  });

  it('is not handed out once something was written: it is from before', () => {
    forgetEarly();
    expect(takeEarly('/api/projects')).toBeUndefined();
  });
});
