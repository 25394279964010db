import { browserTrial } from './browserTrial.js';
import { fullDiskTrial, killTrial, lockTrial, rushTrial } from './trials.js';

test('thirty kills of server and stand-ins lose nothing that was acknowledged', async () => {
  const { missing, acknowledged, refused } = await killTrial(30, 11);
  expect(missing).toEqual([]);
  expect(acknowledged).toBeGreaterThan(100);
  // nobody was answered that the application failed
  expect(refused[500]).toBeUndefined();
}, 600_000);

test('a browser that is killed takes nothing with it that it showed as done', async () => {
  expect(await browserTrial(4, 5)).toEqual([]);
}, 300_000);

test('edits and runs at the very same moment are each made once', async () => {
  expect(await rushTrial()).toEqual([]);
}, 300_000);

test('a store that another program locks is told of, and work goes on when it is free', async () => {
  expect(await lockTrial(12)).toEqual([]);
}, 300_000);

test('a full disk is told of, and work goes on when there is room', async () => {
  expect((await fullDiskTrial()) ?? []).toEqual([]);
}, 300_000);
