import { speak } from '@steady-scatter/words/everything';
import type * as exported from './index.ts';

/** What is made of records: stock, looks, the ledger's lines, reports, tables of them. */
export function ofRecords(
  core: typeof exported,
  input: exported.ApplicationInput,
  { mangle, text }: { mangle<Value>(value: Value): Value; text: string },
): (() => unknown)[] {
  const row = { id: 'r', first: null, subject: 's', occurredAt: '2026-12-31T23:00:00.000Z', input };
  const done = core.doneRows([row]);
  const limits = mangle(core.blankLimits('us'));
  const look = mangle({ application: 'r', area: '', areaName: 'Pitch', productName: 'Feed', onDay: '2026-05-02', by: '', rating: '3' as const, note: '', photos: [], void: '' }); // prettier-ignore
  const move = mangle({
    what: 'received' as const,
    packages: '4',
    lot: '',
    price: '',
    by: '',
    note: '',
    void: '',
  });
  const ground = { site: '', area: 'a', siteName: text, areaName: 'Lawn', areaM2: 687 };
  const shelf = [{ id: 'p', input: mangle(core.blankProduct('dry-fertilizer', 'us')) }];
  const portions = mangle(core.portionsFor({ ground: [ground], product: { id: 'p', name: 'Feed' }, nutrient: 'N', totalSi: 0.004, unit: 'lb/1000 ft2', times: 3, firstDay: '2026-04-18', everyDays: 28 }, () => 'x')); // prettier-ignore
  const plan = { ...core.blankPlan('2026', { from: '2026-01-01', to: '2026-12-31' }), portions };
  const planned = core.plannedPortions(portions, shelf, [ground]);
  const book = () => core.planBook({ rules: [], rulesOn: new Map(), rows: done.map((each) => core.ledgerRow(each)), planned, soilTests: [], yearStart: '01-01' }); // prettier-ignore
  const all = new Set(['x']);
  return [
    () => core.evaluatePlan(mangle(plan)),
    () => planned.map((each) => core.checkPortion(each, '2026-05-16', book())),
    () => core.nearestAllowedDay(planned, '2026-05-16', { from: '2026-05-01', to: '2026-06-01' }, book()),
    () => core.portionStates(portions, done.map((each) => core.ledgerRow(each)), '2026-05-16'), // prettier-ignore
    () => core.movePortions(portions, all, text),
    () => core.catchUp(plan, planned, all, '2026-05-16', book()),
    () => core.shareOut(portions, new Set(['x']), all),
    () => core.halfAfterLook(portions, all, 28, () => 'y'),
    () => core.nextYearsPlan(plan, text, () => 'y'),
    () => core.planNeeds(planned, shelf),
    () => core.twicePlanned(portions, [{ name: text, portions }]),
    () => core.seasonReport({ year: { from: '2026-01-01', to: '2026-12-31' }, rows: done.map((each) => core.ledgerRow(each)), planned, rulesOn: () => [], cvOf: () => 0.1 }), // prettier-ignore
    () => core.lotsOf([{ ...row, input: { ...move, lot: text } }], done, 22.7),
    () => core.portionGroups(portions),
    () => core.weeksFrom(core.monthLater('2026-12', 14)),
    () => core.openingMonth([core.daysLater('2026-12-31', 1)], '2026-04-18', '2026-01-01'),
    () => core.planCalendar([plan], '2026-11-27T12:00:00.000Z', speak),
    () => core.againstLimits(core.evaluateLimits(limits, 'limits'), 'label', input.weather),
    () => core.conditionsNow(mangle(input.weather)),
    () => core.readOutdoors(text, 'degF', 'x'),
    () => core.evaluatePerson(mangle({ ...core.blankPerson('us'), name: 'R. Fenn' })),
    () => core.licenseOn({ license: text, licenseUntil: '2026-12-31' }, '2026-04-18'),
    () => core.evaluateStockMove(move),
    () => core.stockOf([{ ...row, input: move }], [{ at: '2027-01-01T00:00:00.000Z', si: 5 }], 22.7),
    () => core.lotCameAt([{ ...row, input: { ...move, lot: text } }], text),
    () => core.areaKeyOf(text, text),
    () => core.evaluateLook(look),
    () => core.looksDue(done, new Set(), '2027-01-20'),
    () => core.looksSeen([{ ...row, input: look }], done),
    () => done.map((each) => core.dayOfRow(each)),
    () => done.map((each) => core.ledgerRow(each)),
    () => core.logReport(done),
    () => core.todayLines({ today: '2026-04-18', unsent: 1, runs: [], water: [], portions: [{ id: 'p', name: text, onDay: text, isHeld: false }], jobs: [{ id: 'j', name: text, days: [text, '2026-04-18'], isReady: true, recorded: [text] }], stale: [], looks: [], short: [], licenses: [] }), // prettier-ignore
    () => core.soilFactsFor([{ id: 't', input: mangle(core.blankSoilTest('kg/ha', '2026-03-02')) }], [{ site: text, area: text }]), // prettier-ignore
    () => core.soFarOn(core.ledgerOf(done.map((each) => core.ledgerRow(each)))),
    () => core.doneOn(core.ledgerOf(done.map((each) => core.ledgerRow(each))), text, '2026-01-01'),
    () => core.ruleSetOn(plan, text),
    () => core.ledgerForm('K'),
    () => core.isFarOff(0.85),
    () => core.nutrientStanding({ delivered: core.noSums().perM2, planned: null, caps: { N: 0, P2O5: null, K2O: null, S: null, Ca: null, Mg: null, Fe: null } }, 'N'), // prettier-ignore
    () => core.youngestTestOf([{ input: mangle(core.blankSoilTest('kg/ha', '2026-03-02')) }], [{ site: text, area: text }]), // prettier-ignore
    () => core.sumsOver([core.plusSums(core.noSums(), core.noSums())]),
    () => core.yearOf('2026-04-18', text),
    () => core.allowedOn([], core.evaluateLabelFacts(input.label ?? core.blankProduct('dry-fertilizer', 'us')), '2026-04-18', { soFar: [], done: [{ onDay: '2026-04-01', isSameProduct: true, isInYear: true }], beforeSi: 0, soilTest: null }), // prettier-ignore
    () => core.nextAllowedDay([], core.evaluateLabelFacts(core.blankProduct('dry-fertilizer', 'us')), '2026-04-18', { soFar: [], done: [], beforeSi: 0, soilTest: null }), // prettier-ignore
    () => core.nameKey(text),
    () => core.grouped([text, ''], core.nameKey),
    () => core.readLogRow({ day: text, area: text, size: text, amount: text, product: text, meant: text }, { today: '2027-01-01', system: 'us', runId: 'r' }), // prettier-ignore
    () => core.logColumns([text], speak),
    () => core.fieldRunsOf(done, input.machine.calibration),
    () => core.fieldMeans([{ id: 'r', mark: text, rateSi: 0.02, uReadings: 0.01 }], core.NO_RIG),
    () => core.withLog(core.blankWalk({ job: 'j', holder: 'd' }, 'us'), core.logOf({ logs: [] }, 'a')),
    () =>
      core.runCautions('open', {
        product: input.product.kind,
        isSprayed: false,
        isCarried: true,
        isWatered: true,
      }),
  ];
}
