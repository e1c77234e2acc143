export { pooled, type Reading } from './pooled';
export { aheadResistance, currentByDrift, currentByLine, currentByRunUp } from './current-signs';
export { WIND_SIGNS, windBySigns, type WindSign, type WindSignKind } from './wind-signs';
