// Where tests run that need no document: in the worker's own realm, so that packages loaded once for the worker and
// files loaded anew for each test file agree what an Array, a Date or an Error is, and globals cost no detour.
const vm = require('node:vm');
const { LegacyFakeTimers, ModernFakeTimers } = require('@jest/fake-timers');
const { ModuleMocker } = require('jest-mock');

/** Stands for the context of a test file; whatever is compiled for it is compiled for the worker's own realm. */
const OWN_REALM = Object.freeze({});
const compileFunction = vm.compileFunction;
vm.compileFunction = (code, parameters, options) => {
  if (options?.parsingContext !== OWN_REALM) return compileFunction(code, parameters, options);
  const { parsingContext: _, ...others } = options;
  return compileFunction(code, parameters, others);
};

const exit = process.exit;

/** What a fake timer gives, as Node’s own do. */
function idToRef(id) {
  const timer = { id, ref: () => timer, unref: () => timer };
  return timer;
}

module.exports = class OwnRealmEnvironment {
  global = globalThis;

  constructor({ projectConfig }) {
    this.namesBefore = new Set(Object.getOwnPropertyNames(globalThis));
    this.moduleMocker = new ModuleMocker(globalThis);
    const timerConfig = { idToRef, refToId: (timer) => timer?.id };
    this.fakeTimers = new LegacyFakeTimers({
      config: projectConfig,
      global: globalThis,
      moduleMocker: this.moduleMocker,
      timerConfig,
    });
    this.fakeTimersModern = new ModernFakeTimers({ config: projectConfig, global: globalThis });
  }

  async setup() {}

  async teardown() {
    this.fakeTimers.dispose();
    this.fakeTimersModern.dispose();
    process.exit = exit;
    // What one file leaves in the global object must not reach the next.
    for (const name of Object.getOwnPropertyNames(globalThis)) {
      if (!this.namesBefore.has(name)) Reflect.deleteProperty(globalThis, name);
    }
  }

  exportConditions() {
    return ['node', 'node-addons'];
  }

  getVmContext() {
    return OWN_REALM;
  }
};
