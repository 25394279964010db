import { closeSync, mkdtempSync, openSync, writeFileSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { PersonRow, SettlementRow } from './entities.js';
import { inBatches } from './inBatches.js';
import { openStore, type Store } from './store.js';

let path: string;
let store: Store;

beforeEach(async () => {
  path = join(mkdtempSync(join(tmpdir(), 'store-')), 'even-lantern.sqlite');
  store = await openStore(path);
});
afterEach(() => store.close().catch(() => undefined));

const person = (id: string) => ({ id, name: id, createdAt: '2026-11-01T00:00:00.000Z' });
const settlement = (position: number) => ({
  id: `first ${position}`,
  position,
  vocabulary: 'a',
  label: 'b',
  target: 'c',
  targetLabel: null,
  verdict: 'words',
  at: '2026-11-01T00:00:00.000Z',
  personId: 'someone',
});
const add = (id: string) => store.write((manager) => manager.insert(PersonRow, person(id)));
const names = async () => (await store.read.find(PersonRow, { order: { id: 'ASC' } })).map(({ id }) => id);

test('what one change writes is not seen until it is whole, and a failed one takes no other with it', async () => {
  let goOn: () => void = () => undefined;
  const gate = new Promise<void>((resolve) => (goOn = resolve));
  const failing = store.write(async (manager) => {
    await manager.insert(PersonRow, person('unseen'));
    await gate;
    throw new Error('refused');
  });
  const other = add('kept');
  expect(await names()).toEqual([]);
  goOn();
  await expect(failing).rejects.toThrow('refused');
  await other;
  expect(await names()).toEqual(['kept']);
});

test('it tells whether anything was committed, by this program or by another one', async () => {
  const before = await store.committed();
  expect(await store.committed()).toBe(before);
  await add('here');
  const after = await store.committed();
  expect(after).not.toBe(before);
  await store.write(() => Promise.reject(new Error('refused'))).catch(() => undefined);
  expect(await store.committed()).toBe(after);
  const another = new Database(path);
  another.prepare("INSERT INTO person VALUES ('there', 'there', '2026-11-01T00:00:00.000Z')").run();
  another.close();
  expect(await store.committed()).not.toBe(after);
});

test('between batches of rows, others have their turn', async () => {
  const order: string[] = [];
  setImmediate(() => order.push('others'));
  await inBatches(Array.from({ length: 401 }), async () => void order.push('batch'));
  expect(order).toEqual(['batch', 'others', 'batch', 'batch']);
});

test('checks inside changes hold, however many come at once', async () => {
  const claims = Array.from({ length: 20 }, (_, i) =>
    store.write(async (manager) => {
      if ((await manager.count(PersonRow)) > 0) throw new Error('taken');
      await Promise.resolve();
      await manager.insert(PersonRow, person(String(i)));
    }),
  );
  const ended = await Promise.allSettled(claims);
  expect(ended.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
  expect(await names()).toHaveLength(1);
});

test('reading cannot write, and a change within a change says so instead of waiting for itself', async () => {
  await expect(store.read.insert(PersonRow, person('a'))).rejects.toMatchObject({
    driverError: { code: 'SQLITE_READONLY' },
  });
  await expect(store.write(() => add('b'))).rejects.toThrow('A change within a change');
  expect(await names()).toEqual([]);
});

test('a data folder has one server; the second is told who holds it', async () => {
  await expect(openStore(path)).rejects.toMatchObject({
    kind: 'held',
    message: expect.stringContaining(`process ${process.pid}`),
  });
  await store.close();
  store = await openStore(path);
});

test('a store that another program locks is waited for; longer than a change can wait, it is told, and it goes on after', async () => {
  const other = new Database(path);
  other.exec('BEGIN IMMEDIATE');
  const waiting = add('patient');
  const short = store.write((manager) => manager.insert(PersonRow, person('short')), { timeoutMs: 300 });
  expect(await names()).toEqual([]);
  setTimeout(() => other.exec('COMMIT'), 1000);
  await waiting;
  await short;
  other.exec('BEGIN IMMEDIATE');
  const late = store.write((manager) => manager.insert(PersonRow, person('late')), { timeoutMs: 300 });
  await expect(late).rejects.toMatchObject({ kind: 'locked', message: 'Another program holds the store.' });
  other.exec('ROLLBACK');
  other.close();
  await add('after');
  expect(await names()).toEqual(['after', 'patient', 'short']);
});

test('where another process took a number meanwhile, the change is made again on what stands there now', async () => {
  await add('someone');
  let tries = 0;
  const position = await store.write(async (manager) => {
    tries += 1;
    const last = (await manager.maximum(SettlementRow, 'position')) ?? 0;
    // On the first try the number read is out of date, as it may be where several processes write.
    const next = tries === 1 ? last : last + 1;
    if (tries === 1) await manager.insert(SettlementRow, settlement(last));
    await manager.insert(SettlementRow, { ...settlement(next), id: `second ${tries}` });
    return next;
  });
  expect([tries, position]).toEqual([2, 1]);
  expect(await store.read.find(SettlementRow)).toHaveLength(1);
});

test('a full disk refuses a change whole, and takes the next when there is room', async () => {
  await add('before');
  const pages = (most: number) => store.write((manager) => manager.query(`PRAGMA max_page_count = ${most}`));
  await pages(1);
  const large = store.write(async (manager) => {
    for (let i = 0; i < 50; i += 1) await manager.insert(PersonRow, person(`${i}${'x'.repeat(4000)}`));
  });
  await expect(large).rejects.toMatchObject({
    kind: 'full',
    advice: expect.stringContaining('Free some space'),
  });
  expect(await names()).toEqual(['before']);
  await pages(1_000_000);
  await add('after');
  expect(await names()).toEqual(['after', 'before']);
});

test('a damaged store is told at the start, and left as it is', async () => {
  await add('a');
  await store.close();
  writeFileSync(path, 'this was a store once, and now it is not, however long one looks at it'.repeat(100));
  await expect(openStore(path)).rejects.toMatchObject({ kind: 'damaged' });
});

test('damage in the middle of the file is told when it is met', async () => {
  for (let i = 0; i < 300; i += 1) await add(`${String(i).padStart(4, '0')}${'x'.repeat(500)}`);
  await store.close();
  const file = openSync(path, 'r+');
  const size = new Database(path, { readonly: true }).pragma('page_count', { simple: true }) as number;
  for (let page = Math.floor(size / 2); page < size; page += 1) {
    writeSync(file, Buffer.alloc(4096, 7), 0, 4096, page * 4096);
  }
  closeSync(file);
  const used = openStore(path).then(async (opened) => {
    store = opened;
    await names();
    await add('z');
  });
  await expect(used).rejects.toMatchObject(
    // what is read comes with the driver's own error, what is written with ours
    expect.objectContaining({ message: expect.stringMatching(/damaged|malformed/) }),
  );
});

test('a store of a later release is left alone', async () => {
  await store.write((manager) =>
    manager.query(`INSERT INTO migrations (timestamp, name) VALUES (1, 'Later9999999999999')`),
  );
  await store.close();
  await expect(openStore(path)).rejects.toMatchObject({
    kind: 'newer',
    message: expect.stringContaining('later release'),
  });
});
