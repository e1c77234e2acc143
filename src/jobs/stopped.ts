/** Work was stopped by whoever asked for it; nothing has changed. */
export class Stopped extends Error {
  constructor() {
    super('stopped');
    this.name = 'Stopped';
  }
}
