export { takeCsv } from './csv';
