const { rmSync } = require('node:fs');

module.exports = () => rmSync(process.env.TMPDIR, { recursive: true, force: true, maxRetries: 5 });
