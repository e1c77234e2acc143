export { pooled, type Reading } from './pooled';
export { aheadResistance, streamByDrift, streamByLine, streamByRunUp } from './stream-signs';
export { WIND_SIGNS, windBySigns, type WindSign, type WindSignKind } from './wind-signs';
