import type { Result, TideDocument } from '@/document';

export interface Where {
  readonly lat_deg: number;
  readonly lon_deg: number;
}

/** Wind at 10 m at a moment, seconds since 1970 UTC: where it comes from, degrees, its mean and its gusts, m/s. */
export interface WindAt {
  readonly at: number;
  readonly from_deg: number;
  readonly speed_mps: number;
  readonly gust_mps: number;
}

/** Says what wind is to come. A real one asks somebody; it may fail, and says why. */
export interface WeatherService {
  /** What stands beside its figures. */
  readonly name: string;
  /** Wind by the hour over a stretch of time. */
  wind(where: Where, from: number, to: number): Promise<Result<readonly WindAt[]>>;
}

/** Says how the level goes somewhere. */
export interface TideService {
  /** The tide of the nearest station, and what it is called; a failure where there is none near. */
  tide(where: Where): Promise<Result<{ readonly name: string; readonly tide: TideDocument }>>;
}
