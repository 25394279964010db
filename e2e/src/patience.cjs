// Paths through a real browser take longer than calls of functions.
jest.setTimeout(120_000);
