/** Folders import each other in one direction. Tests may set up the whole application, so they are left out here. */
const { options } = require('./.dependency-cruiser.cjs');

module.exports = {
  forbidden: [
    {
      name: 'no-circles-of-folders',
      severity: 'error',
      scope: 'folder',
      from: { path: '^(core|server|web)/src/' },
      to: { circular: true },
    },
  ],
  options: { ...options, exclude: { path: 'dist/|\\.test\\.tsx?$|/testing/' } },
};
