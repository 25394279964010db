import { killTrial } from './trials.js';

test('kills of server and stand-ins lose nothing that was acknowledged', async () => {
  const { missing, acknowledged, refused } = await killTrial(3, 11);
  expect(missing).toEqual([]);
  expect(acknowledged).toBeGreaterThan(4);
  // nobody was answered that the application failed
  expect(refused[500]).toBeUndefined();
}, 600_000);
