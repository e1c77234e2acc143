import proj4 from 'proj4';

/** Where the metres of a place begin. */
export interface Origin {
  readonly lat_deg: number;
  readonly lon_deg: number;
}

export type Metres = readonly [east: number, north: number];
export type LonLat = readonly [lon: number, lat: number];

/** Nearer to a pole than this the meridians of a place are no grid any more, degrees. */
export const MOST_LAT_DEG = 85;

/**
 * WGS84 to and from metres east and north of an origin: transverse Mercator through it at true scale, by proj4. Within
 * 20 km of it distances are true to 5 parts in a million.
 */
export function projection({ lat_deg, lon_deg }: Origin) {
  const plane = `+proj=tmerc +lat_0=${lat_deg} +lon_0=${lon_deg} +k=1 +x_0=0 +y_0=0 +ellps=WGS84 +units=m +no_defs`;
  const between = proj4('WGS84', plane);
  return {
    toMetres: ([lon, lat]: LonLat): Metres => {
      const [east, north] = between.forward([lon, lat]);
      return [east!, north!];
    },
    toLonLat: ([east, north]: Metres): LonLat => {
      const [lon, lat] = between.inverse([east, north]);
      return [lon!, lat!];
    },
  };
}
