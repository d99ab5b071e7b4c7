import { QUERIES } from '@/services/door/queries';
import { exportTable } from '@/services/exchange/exportTable';
import type { TableName } from '@/services/exchange/tables';
import { ourHousehold } from '@/services/household/household';
import { streams } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = streams<{ table: TableName }>(
  ({ table }) => `${table}.csv`,
  'text/csv; charset=utf-8',
  QUERIES.table,
  async ({ table }, write) => exportTable(await ourHousehold(), table, write),
  { exports: ({ table }) => `The table ${table} was exported.` },
);
