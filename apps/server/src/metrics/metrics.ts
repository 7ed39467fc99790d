import { type Server, createServer } from 'node:http';
import type { MiddlewareHandler } from 'hono';
import { matchedRoutes } from 'hono/route';
import type { Logger } from 'pino';
import { Counter, Histogram, Registry, collectDefaultMetrics } from 'prom-client';
import type { Env } from '../http/router.ts';

/** What a server counts of itself, in the text form of Prometheus. Nothing of what people wrote is in it. */
export class Metrics {
  readonly registry = new Registry();
  private readonly requests: Histogram<'method' | 'route' | 'status'>;
  readonly written: Counter;

  constructor() {
    collectDefaultMetrics({ register: this.registry });
    this.requests = new Histogram({
      name: 'cordel_http_request_duration_seconds',
      help: 'How long requests took, by route and status',
      labelNames: ['method', 'route', 'status'],
      buckets: [0.005, 0.02, 0.1, 0.5, 2, 10, 60],
      registers: [this.registry],
    });
    this.written = new Counter({
      name: 'cordel_writes_total',
      help: 'Writes that were told to whoever listens',
      registers: [this.registry],
    });
  }

  observe(method: string, route: string, status: number, seconds: number): void {
    this.requests.observe({ method, route, status }, seconds);
  }
}

/** Counts requests and logs them: by their route, which holds no id, name or secret. */
export const observed =
  (metrics: Metrics | null, log: Logger | undefined): MiddlewareHandler<Env> =>
  async (c, next) => {
    const start = performance.now();
    await next();
    const seconds = (performance.now() - start) / 1000;
    const route = matchedRoutes(c).findLast(({ path }) => !path.endsWith('*'))?.path ?? '/api/*';
    const { status } = c.res;
    metrics?.observe(c.req.method, route, status, seconds);
    // A request that fails early has none.
    const actor = c.var.actor as Env['Variables']['actor'] | undefined;
    log?.info(
      {
        method: c.req.method,
        route,
        status,
        ms: Math.round(seconds * 1000),
        ...(actor?.kind === 'person' && { person: actor.personId, device: actor.deviceId }),
      },
      'request',
    );
  };

/** Serves the figures on a port of their own, to this machine alone. */
export function serveMetrics(metrics: Metrics, port: number): Server {
  return createServer((request, response) => {
    if (request.url !== '/metrics') return response.writeHead(404).end();
    void metrics.registry.metrics().then(
      (text) => response.writeHead(200, { 'content-type': metrics.registry.contentType }).end(text),
      () => response.writeHead(500).end(),
    );
  }).listen(port, '127.0.0.1');
}
