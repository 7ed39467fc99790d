import { expose } from 'comlink';
import type { Parsed } from '@cordel/core';
import { type FoundRoute, lineLength, readGeoJson } from '@cordel/core/geo';

/** A route as it is shown before it is imported. */
export interface RoutePreview extends FoundRoute {
  /** Length of each line, meters. */
  lengths: number[];
}

/** Reads GeoJSON off the page's own thread. */
const groundReader = {
  read(text: string, swap: boolean): Parsed<RoutePreview> {
    const read = readGeoJson(text, swap);
    if (!read.ok) return read;
    const lengths = read.value.lines.map(({ points }) => lineLength(points));
    return { ok: true, value: { ...read.value, lengths } };
  },
};

export type GroundReader = typeof groundReader;

expose(groundReader);
