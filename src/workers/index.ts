export type { TakeWorker } from './protocol';
export { TakeClient, type TakeListener } from './take-client';
