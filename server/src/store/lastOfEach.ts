/** The latest row of each owner, in one query: of each review its latest run, of each lane its latest event. */
import type { EntityManager, EntityTarget, ObjectLiteral } from 'typeorm';

/**
 * An index on the owner and the order makes it one look for each owner, however many rows each has.
 * @param owner the table whose rows own others, and the column that names them
 * @param order the column by which the latest is told; rows without it are left out
 * @param columns what is wanted of each; no JSON, which is given as it is kept
 * @returns by the owner’s id
 */
export async function lastOfEach<Row extends ObjectLiteral, Column extends keyof Row & string>(
  manager: EntityManager,
  rows: EntityTarget<Row>,
  owner: { rows: EntityTarget<ObjectLiteral>; column: keyof Row & string },
  order: keyof Row & string,
  columns: readonly Column[],
): Promise<Map<string, Pick<Row, Column>>> {
  const { connection } = manager;
  const name = (text: string) => connection.driver.escape(text);
  const [table, owners] = [rows, owner.rows].map((each) => name(connection.getMetadata(each).tableName));
  const [of, by] = [name(owner.column), name(order)];
  const wanted = columns.map((column) => `latest.${name(column)} AS ${name(column)}`);
  const found = await manager.query<(Pick<Row, Column> & { ownerOfIt: string })[]>(
    `SELECT owner.id AS ${name('ownerOfIt')}, ${wanted.join(', ')} FROM ${owners} owner
       JOIN ${table} latest ON latest.id = (
         SELECT each.id FROM ${table} each WHERE each.${of} = owner.id AND each.${by} IS NOT NULL
         ORDER BY each.${by} DESC LIMIT 1)`,
  );
  return new Map(found.map((row) => [row.ownerOfIt, row]));
}
