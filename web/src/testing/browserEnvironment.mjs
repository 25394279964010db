// A document for tests of components, with what browsers have and jsdom lacks.
import { TestEnvironment } from 'jest-environment-jsdom';

/** Addresses are relative to the page, as in a browser. */
class PageRequest extends Request {
  constructor(input, options) {
    super(typeof input === 'string' ? new URL(input, 'http://localhost') : input, options);
  }
}

export default class BrowserEnvironment extends TestEnvironment {
  constructor(...args) {
    super(...args);
    Object.assign(this.global, {
      fetch,
      Request: PageRequest,
      Response,
      Headers,
      TextEncoder,
      TextDecoder,
      structuredClone,
    });
    this.global.AbortController = AbortController;
    this.global.AbortSignal = AbortSignal;
    this.global.IS_REACT_ACT_ENVIRONMENT = true;
    this.global.ResizeObserver = class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    this.global.HTMLElement.prototype.scrollIntoView = () => undefined;
    this.global.CSS ??= { escape: (text) => text.replace(/[^\w-]/g, (sign) => `\\${sign}`) };
  }
}
