import { KIND_NAMES, KINDS, type Column, type Kind } from '@steady-scatter/contract';
import { APPLIED_TABLE } from './applied.ts';
import { DataTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize';

const { UUID, STRING, INTEGER, DOUBLE, DATE, BOOLEAN, TEXT } = DataTypes;

/** Longest text of a column: more is cut off. */
export const MAX_TEXT = 400;

/** How a column of a list is kept. */
const TYPES: Readonly<Record<Column<unknown>['type'], () => ModelAttributes[string]>> = {
  text: () => ({ type: STRING(MAX_TEXT) }),
  id: () => ({ type: STRING(36) }),
  day: () => ({ type: STRING(10) }),
  si: () => ({ type: DOUBLE }),
  count: () => ({ type: INTEGER }),
  flag: () => ({ type: BOOLEAN }),
  list: () => ({ type: TEXT('medium') }),
};

/** A line of a list as the database hands it over: what every kind has, flags as 0 and 1, and the kind's own columns. */
export type SummaryRow = {
  readonly id: string;
  readonly version: number;
  readonly isSample: number;
  readonly isReadable: number;
  readonly name: string;
  readonly texts: string;
  readonly changedAt: Date;
} & Readonly<Record<string, unknown>>;

/** The columns of a kind's own that a list may be sorted and filtered by. */
export const sortableOf = ({ columns }: Kind): string[] =>
  Object.keys(columns).filter((name) => columns[name]?.type !== 'list');

export const tableOf = ({ name }: Pick<Kind, 'name'>): string => `${name}List`;

const attributesOf = ({ columns }: Kind): ModelAttributes => ({
  id: { type: UUID, primaryKey: true },
  crewId: { type: UUID, allowNull: false },
  version: { type: INTEGER, allowNull: false },
  isSample: { type: BOOLEAN, allowNull: false },
  isReadable: { type: BOOLEAN, allowNull: false },
  name: { type: STRING(MAX_TEXT), allowNull: false },
  /** What it is found by besides its name, a text to a line. */
  texts: { type: TEXT('medium'), allowNull: false },
  changedAt: { type: DATE(3), allowNull: false },
  ...Object.fromEntries(Object.entries(columns).map(([name, { type }]) => [name, TYPES[type]()])),
});

/** Indexes for the name, for what long lists are sorted by, and for what leads to other documents. */
function indexesOf({ columns, sort, indexed = [] }: Kind) {
  const ids = Object.keys(columns).filter((name) => columns[name]?.type === 'id');
  const names = new Set(['name', 'changedAt', sort.replace(/^-/, ''), ...indexed, ...ids]);
  return [...names].map((name) => ({ name: `by_${name}`, fields: ['crewId', name, 'id'] }));
}

export type SummaryModel = ModelStatic<Model>;

/** The table of a kind's list as Sequelize sees it: made from the kind's entry, filled from the documents. */
export function summaryModel(sequelize: Sequelize, kind: Kind): SummaryModel {
  const table = tableOf(kind);
  if (sequelize.isDefined(table)) return sequelize.model(table);
  return sequelize.define(table, attributesOf(kind), {
    tableName: table,
    timestamps: false,
    indexes: indexesOf(kind),
  });
}

/** Tables that are made from the documents, and can be made anew from them at any time. */
export const DERIVED_TABLES: readonly string[] = [
  'documentLinks',
  'projections',
  APPLIED_TABLE,
  ...KIND_NAMES.map((name) => tableOf(KINDS[name])),
];
