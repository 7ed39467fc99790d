// Pressures on a path of their own: pages that read a gauge need no more of closing than this.
export * from './close/gas.ts';
export * from './measure/pressure.ts';
