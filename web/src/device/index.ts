// What this device holds by itself: tables in IndexedDB, and word between the tabs of a browser. It knows nothing of the server.
export { heldTable, type HeldTable } from './heldTable.ts';
export { holdingStore, noteHolding } from './holding.ts';
export { tableOf, type Table } from './table.ts';
export { alone, tabsOf, type Tabs } from './tabs.ts';
