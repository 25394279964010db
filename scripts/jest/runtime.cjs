// Loads installed packages once for each worker instead of once for each test file: NestJS, TypeORM and the like take
// seconds to load, and no test changes them. Our own files are still loaded anew for each test file, and a package
// that a test replaces by jest.mock is replaced as ever.
const { createRequire } = require('node:module');
const { sep } = require('node:path');
const { default: Runtime } = require('jest-runtime');

const PACKAGES = `${sep}node_modules${sep}`;

module.exports = {
  __esModule: true,
  default: class PackagesOnceRuntime extends Runtime {
    _ignored = this._config.transformIgnorePatterns.map((pattern) => new RegExp(pattern));

    requireModule(from, moduleName, options, isRequireActual) {
      if (moduleName !== undefined && options?.isInternalModule !== true) {
        const path = this._resolution.isCoreModule(moduleName)
          ? null
          : this._resolution.resolveCjs(from, moduleName);
        if (path?.includes(PACKAGES) && !this._transformed(path)) return createRequire(path)(path);
      }
      return super.requireModule(from, moduleName, options, isRequireActual);
    }

    /** Packages of ES modules alone are translated by Jest, and so loaded by it too. */
    _transformed(path) {
      return !this._ignored.some((pattern) => pattern.test(path));
    }
  },
};
