/** Requests whose answers take long to work out, by method and path. */
const HEAVY: readonly [method: string, path: RegExp][] = [
  ['POST', /^\/api\/documents$/],
  ['GET', /^\/api\/backup$/],
  [
    'GET',
    /^\/api\/projects\/[^/]+\/(document\.json|chain|project\.zip|csv\/[^/]+|labels\.pdf|budget|circuits|take-along)$/,
  ],
  ['POST', /^\/api\/projects\/[^/]+\/(splice-list|geojson|traces|standin\/otdr)$/],
  ['GET', /^\/api\/projects\/[^/]+\/proof(\/|$)/],
  ['GET', /^\/api\/projects\/[^/]+\/cables\/[^/]+\/(links|reel|fibers\/[^/]+\/proof(\.pdf)?)$/],
  ['POST', /^\/api\/projects\/[^/]+\/proof\//],
];

/** Whether a request is answered on the thread for long work, so that nobody who records waits for it. */
export const isHeavy = (method: string, path: string): boolean =>
  HEAVY.some(([own, pattern]) => own === method && pattern.test(path));
