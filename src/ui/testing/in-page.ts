import { expose, type Endpoint } from 'comlink';
import { MessageChannel, type MessagePort } from 'node:worker_threads';

/** For component tests: what a worker would answer is answered by its calls in the same process, message by message. */
export function answerInPage(calls: object): void {
  class InPage {
    private readonly port: MessagePort;
    private readonly other: MessagePort;

    constructor() {
      const { port1, port2 } = new MessageChannel();
      this.port = port1;
      this.other = port2;
      const living = { ...calls, alive: () => Promise.resolve() };
      expose(living, port2 as unknown as Endpoint);
      port2.start();
    }

    postMessage(message: unknown): void {
      this.port.postMessage(message);
    }

    addEventListener(kind: string, hear: (event: { data: unknown }) => void): void {
      if (kind !== 'message') return;
      this.port.on('message', (data) => hear({ data }));
    }

    removeEventListener(): void {}

    terminate(): void {
      this.port.close();
      this.other.close();
    }
  }
  globalThis.Worker = InPage as unknown as typeof Worker;
}
