import type { QueryClient } from '@tanstack/react-query';

/** The first change is followed at once, and what comes after it so often at most, in ms. */
const RENEW_MS = 2500;

/** Asks again for what is shown, at once after a pause, and now and then while much is written. */
export class Renewal {
  private readonly due = new Set<string>();
  private last = -Infinity;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly queryClient: QueryClient) {}

  add(keys: Iterable<string>): void {
    for (const key of keys) this.due.add(key);
    if (this.timer !== undefined || this.due.size === 0) return;
    const wait = this.last + RENEW_MS - performance.now();
    if (wait <= 0) this.renew();
    else this.timer = setTimeout(() => this.renew(), wait);
  }

  private renew(): void {
    this.timer = undefined;
    this.last = performance.now();
    for (const key of this.due) void this.queryClient.invalidateQueries({ queryKey: [key] });
    this.due.clear();
  }
}
