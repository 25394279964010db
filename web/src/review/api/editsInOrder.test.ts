import type { BaseQueryApi, FetchArgs } from '@reduxjs/toolkit/query';
import { editsInOrder } from './editsInOrder.js';

/** A server with one thing at a version, which refuses what was made on another; answers come when they are let. */
function serverWith(version: number, inList = false) {
  const server = { version, asked: [] as string[], answers: [] as (() => void)[] };
  const send = editsInOrder(async (args) => {
    const on = (args as FetchArgs).headers as Record<string, string>;
    server.asked.push(on['If-Match'] ?? '');
    await new Promise<void>((resolve) => server.answers.push(resolve));
    if (on['If-Match'] !== `"${server.version}"`) return { error: { status: 412, data: null } };
    server.version += 1;
    const thing = { id: 'a', version: server.version };
    return { data: inList ? { id: 'r', version: 70, lanes: [{ id: 'b' }, thing] } : thing };
  });
  const edit = async (seen: number, url = 'terms/a') => {
    const headers = { 'If-Match': `"${seen}"` };
    const answer = await send({ url, method: 'PATCH', headers }, {} as BaseQueryApi, {});
    return answer.error === undefined;
  };
  const answerAll = async () => {
    for (let i = 0; i < 20; i += 1) {
      server.answers.shift()?.();
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
  };
  return { server, edit, answerAll };
}

test('edits made before the answer came follow each other, each on what the one before left', async () => {
  const { server, edit, answerAll } = serverWith(1);
  const edits = [edit(1), edit(1), edit(1)];
  await answerAll();
  expect(await Promise.all(edits)).toEqual([true, true, true]);
  expect(server.asked).toEqual(['"1"', '"2"', '"3"']);
  // Seen before the page has the new version, and afterwards.
  const later = [edit(3), edit(4)];
  await answerAll();
  expect(await Promise.all(later)).toEqual([true, true]);
});

test('the version is that of the thing, also where a whole review is the answer', async () => {
  const { server, edit, answerAll } = serverWith(1, true);
  const edits = [edit(1), edit(1)];
  await answerAll();
  expect(await Promise.all(edits)).toEqual([true, true]);
  expect(server.asked).toEqual(['"1"', '"2"']);
});

test('what somebody else did in between is still a conflict, for this edit and those behind it', async () => {
  const { server, edit, answerAll } = serverWith(1);
  const first = edit(1);
  await answerAll();
  expect(await first).toBe(true);
  server.version += 1;
  const others = [edit(1), edit(1)];
  await answerAll();
  expect(await Promise.all(others)).toEqual([false, false]);
});

test('once both versions were seen and one was taken, what is typed next stands on that', async () => {
  const { server, edit, answerAll } = serverWith(2);
  const refused = edit(1);
  await answerAll();
  expect(await refused).toBe(false);
  // Taken on the version that the refusal told of; the page still shows the first.
  const edits = [edit(2), edit(1)];
  await answerAll();
  expect(await Promise.all(edits)).toEqual([true, true]);
  expect(server.asked).toEqual(['"1"', '"2"', '"3"']);
});

test('edits of different things do not wait for each other', async () => {
  const { server, edit, answerAll } = serverWith(1);
  const both = [edit(1), edit(1, 'terms/b')];
  await new Promise((resolve) => setTimeout(resolve, 0));
  expect(server.asked).toHaveLength(2);
  await answerAll();
  await Promise.all(both);
});
