import { deserialize, serialize } from 'node:v8';
import fc from 'fast-check';

// A property that fails on a case of a second would be shrunk for hours; the case and its seed are enough.
fc.configureGlobal({ endOnFailure: true });

// What every browser has and jsdom has not.
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
if (globalThis.Element) {
  globalThis.Element.prototype.scrollIntoView ??= () => undefined;
  globalThis.Element.prototype.hasPointerCapture ??= () => false;
  globalThis.Element.prototype.setPointerCapture ??= () => undefined;
  globalThis.Element.prototype.releasePointerCapture ??= () => undefined;
}
