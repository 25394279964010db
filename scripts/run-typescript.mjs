// Runs one TypeScript file of e2e/ with the transform that the tests use.
import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { transformSync } from '@swc/core';

const require = createRequire(import.meta.url);
const { Module } = require('node:module');

const compile = (module, path) => {
  const { code } = transformSync(readFileSync(path, 'utf8'), {
    filename: path,
    jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
    module: { type: 'commonjs' },
  });
  module._compile(code, path);
};
Module._extensions['.ts'] = compile;
const resolve = Module._resolveFilename;
Module._resolveFilename = function (request, parent, ...rest) {
  const own = request.startsWith('.') && request.endsWith('.js') && parent?.filename?.endsWith('.ts');
  return resolve.call(this, own ? request.replace(/\.js$/, '.ts') : request, parent, ...rest);
};
process.argv.splice(1, 1);
require(process.argv[1]);
