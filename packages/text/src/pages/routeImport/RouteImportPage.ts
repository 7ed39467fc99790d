import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/routeImport/RouteImportPage.tsx`. */
export const routeImportPage = phrases({
  closuresPlacedNew: '{closures, plural, one {# closure} other {# closures}} placed, {added} new.',
  distanceAlongTheRoute: 'Distance along the route, {unit}',
  geojsonInLongitudeAndLatitudeRfc:
    'GeoJSON in longitude and latitude (RFC 7946): a line along which the cable runs, and points with the closures’ names. Distances are worked out along the line, on the ellipsoid.',
  importClosures: 'Import {closures, plural, one {# closure} other {# closures}}',
  latitudeComesFirstInThisFile: 'Latitude comes first in this file: swap the axes',
  movedTo: '{name}: {distance}, from {from} to {to}',
  routeName: 'Route {name}',
  seeTheRoute: 'See the Route',
  theLineBeginsAt: 'The line begins at',
});
