import { openBrowser, type Browser } from './browser';
import { startServer, type Server } from './server';
import { WorkspacePage } from './workspace';

/** A server with demo data and a browser on it, for the tests of one file, or of all the parts a file brings together. */
export class App {
  private static shared: App | null = null;

  server!: Server;
  browser!: Browser;
  page!: WorkspacePage;

  /** Starts before the first of the file's tests and stops after the last. */
  static forTests(): App {
    if (App.shared) return App.shared;
    const app = (App.shared = new App());
    beforeAll(async () => {
      const [server, browser] = await Promise.all([startServer(), openBrowser()]);
      app.server = server;
      app.use(browser);
    });
    afterAll(async () => {
      await app.browser?.close();
      await app.server?.close();
    });
    return app;
  }

  async openBrowser(): Promise<void> {
    this.use(await openBrowser());
  }

  private use(browser: Browser): void {
    this.browser = browser;
    this.page = new WorkspacePage(this.browser.driver, this.server.address);
  }

  get driver() {
    return this.browser.driver;
  }
}
