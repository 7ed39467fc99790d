import { enterHistory } from './sheetHistory';

const sheet = () => (window.history.state as { sheet?: number } | null)?.sheet ?? null;
const turn = (ms = 0) => new Promise((resolve) => setTimeout(resolve, ms));
/** Turns after which the browser has gone where it was sent, however busy the machine is. */
async function settled(): Promise<void> {
  for (let at = 0; at < 15; at++) await turn(5);
}
async function back(): Promise<void> {
  window.history.back();
  await settled();
}

/** A sheet as a page has it: its close takes it from the page, which lets its entry go. */
function openSheet() {
  const told = { closed: 0, close: () => undefined as void };
  const leave = enterHistory(() => {
    told.closed++;
    leave();
  });
  told.close = leave;
  return told;
}

beforeEach(async () => {
  window.history.pushState({ page: 1 }, '');
  await settled();
});

describe('a sheet in the browser’s history', () => {
  it('is closed by Back, and the page is shown', async () => {
    const one = openSheet();
    expect(sheet()).not.toBeNull();
    await back();
    expect([one.closed, sheet(), window.history.state]).toEqual([1, null, { page: 1 }]);
  });

  it('takes its entry with it when it is closed by its key', async () => {
    const one = openSheet();
    one.close();
    await settled();
    expect([one.closed, sheet()]).toEqual([0, null]);
  });

  it('that opens while another goes is closed as well, and no entry stays', async () => {
    const one = openSheet();
    one.close();
    const other = openSheet();
    await settled();
    expect(sheet()).not.toBeNull();
    other.close();
    await settled();
    expect([one.closed, other.closed, sheet()]).toEqual([0, 0, null]);
  });

  it('that opens between the step back and its end keeps an entry that Back closes', async () => {
    const one = openSheet();
    one.close();
    // The step back is under way, and not there yet.
    await turn();
    const other = openSheet();
    await settled();
    expect([other.closed, sheet() === null]).toEqual([0, false]);
    await back();
    expect([other.closed, sheet(), window.history.state]).toEqual([1, null, { page: 1 }]);
  });

  it('below another one stays open when that one is closed', async () => {
    const below = openSheet();
    const shown = sheet();
    const above = openSheet();
    await back();
    expect([above.closed, below.closed, sheet()]).toEqual([1, 0, shown]);
    await back();
    expect([below.closed, sheet()]).toEqual([1, null]);
  });

  it('whose step back is cut off by an entry of the router’s hinders no later one', async () => {
    const one = openSheet();
    one.close();
    await turn();
    window.history.pushState({ page: 2 }, '');
    for (let at = 0; at < 15; at++) await turn(100);
    const other = openSheet();
    expect(sheet()).not.toBeNull();
    other.close();
    await settled();
    expect([other.closed, window.history.state]).toEqual([0, { page: 2 }]);
  });

  it('is not opened again by Forward', async () => {
    const one = openSheet();
    await back();
    window.history.forward();
    await settled();
    expect([one.closed, sheet(), window.history.state]).toEqual([1, null, { page: 1 }]);
  });
});
