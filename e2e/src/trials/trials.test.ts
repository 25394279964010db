import { startStack, type Stack } from '../stack.js';
import { browserTrial } from './browserTrial.js';
import { fullDiskTrial, lockTrial, rushTrial } from './trials.js';

// `npm run trials` tries all of it at length.
let stack: Stack;
beforeAll(async () => {
  stack = await startStack();
});
afterAll(() => stack.stop());

test('a browser that is killed takes nothing with it that it showed as done', async () => {
  expect(await browserTrial(stack, 2, 5)).toEqual([]);
}, 300_000);

test('edits and runs at the very same moment are each made once', async () => {
  expect(await rushTrial(stack)).toEqual([]);
}, 300_000);

test('a store that another program locks is told of, and work goes on when it is free', async () => {
  expect(await lockTrial(stack, 12)).toEqual([]);
}, 300_000);

// Only root may make a small disk; whoever may not sees that this was skipped.
(process.getuid?.() === 0 ? test : test.skip)(
  'a full disk is told of, and work goes on when there is room',
  async () => {
    expect(await fullDiskTrial()).toEqual([]);
  },
  300_000,
);
