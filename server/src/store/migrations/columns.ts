/** Columns of the plain types that every SQL engine has, for migrations. */
import { TableForeignKey, type QueryRunner, type TableColumnOptions } from 'typeorm';

export const text = (name: string): TableColumnOptions => ({ name, type: 'text' });
export const varchar = (name: string): TableColumnOptions => ({ name, type: 'varchar' });
export const boolean = (name: string): TableColumnOptions => ({ name, type: 'boolean' });
export const integer = (name: string): TableColumnOptions => ({ name, type: 'integer' });
export const optional = (column: TableColumnOptions): TableColumnOptions => ({ ...column, isNullable: true });
export const primary = (column: TableColumnOptions): TableColumnOptions => ({ ...column, isPrimary: true });
export const id = primary(varchar('id'));

export const refersTo = (column: string, table: string) =>
  new TableForeignKey({ columnNames: [column], referencedTableName: table, referencedColumnNames: ['id'] });

/** The place of a parameter in a statement, as the engine at hand writes it. @param i from 0 */
export const parameter = (runner: QueryRunner, i: number) =>
  runner.connection.driver.createParameter(`p${i}`, i);
