export { GUST_STEP_S, gustSeries, type Gusts, type GustSeries } from './gusts';
export { shelterShare, type Windbreak } from './shelter';
