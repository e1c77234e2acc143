export { dayAt } from './day';
export { standInTides } from './tides';
export { standInWeather } from './weather';
export type { TideService, WeatherService, Where, WindAt } from './types';
