import { expose } from 'comlink';
import { type Parsed, type SameName, proposeSameNames } from '@cordel/core/lists';
import { type FoundRoute, type GeoProblem, lineLength, readGeoJson } from '@cordel/core/geo';

/** A route as it is shown before it is imported. */
export interface RoutePreview extends FoundRoute {
  /** Length of each line, meters. */
  lengths: number[];
  /** Closures that the file likely calls otherwise than the project. */
  sameNames: SameName[];
}

/** Reads GeoJSON off the page's own thread. */
const groundReader = {
  read(text: string, swap: boolean, known: string[]): Parsed<RoutePreview, GeoProblem> {
    const read = readGeoJson(text, swap);
    if (!read.ok) return read;
    const lengths = read.value.lines.map(({ points }) => lineLength(points));
    const sameNames = proposeSameNames(
      read.value.closures.map(({ name }) => name),
      known,
    );
    return { ok: true, value: { ...read.value, lengths, sameNames } };
  },
};

export type RouteReader = typeof groundReader;

expose(groundReader);
