// All that tests put into the temporary folder of the system goes into one folder, which is taken away at the end.
const { mkdtempSync } = require('node:fs');
const { tmpdir } = require('node:os');
const { join } = require('node:path');

module.exports = () => {
  process.env.TMPDIR = mkdtempSync(join(tmpdir(), 'even-lantern-tests-'));
};
