/**
 * Where every view of the app is found, with the sample data: those of a thing with one that there is.
 * @param {string} address @returns {Promise<string[]>}
 */
export async function viewsOf(address) {
  /** @param {string} kind @param {number} [count] @returns {Promise<string[]>} */
  const ids = async (kind, count = 1) =>
    /** @type {{ items: { id: string }[] }} */ (
      await (await fetch(`${address}/api/${kind}?limit=${count}`)).json()
    ).items.map(({ id }) => id);
  /** One by its name. @param {string} kind @param {string} name @returns {Promise<string>} */
  const named = async (kind, name) =>
    /** @type {{ items: { id: string }[] }} */ (
      await (await fetch(`${address}/api/${kind}?limit=1&q=${encodeURIComponent(name)}`)).json()
    ).items[0]?.id ?? '';
  const [boom, rig, tank] = await Promise.all([
    named('calibrations', 'Utility boom'), named('rigs', 'Utility boom'), named('jobs', 'boom top-up'),
  ]); // prettier-ignore
  const [walked, done] = await Promise.all([named('jobs', 'September feed'), named('jobs', 'Spring feed')]);
  const [plan, feed] = await Promise.all([named('plans', '2027'), named('products', 'Lake feed')]);
  const [storm, guide, winter, salter] = await Promise.all([
    named('storms', 'January snow'), named('guides', 'Lake road'), named('winters', '2025'), named('calibrations', 'Walk salter'),
  ]); // prettier-ignore
  const [jobs, sites, calibrations, rigs, widths, products, soil, rules] = await Promise.all([
    ids('jobs', 3), ids('sites'), ids('calibrations', 3), ids('rigs', 2), ids('width-tests'), ids('products', 2), ids('soil-tests'), ids('rule-sets'),
  ]); // prettier-ignore
  const [lawn] = /** @type {{ areaKey: string }[]} */ (
    await (await fetch(`${address}/api/ledger?from=2026-01-01&to=2026-12-31`)).json()
  );
  const held = new URLSearchParams({ area: lawn?.areaKey ?? '', rules: rules[0] ?? '', year: '2026-01-01' });
  /** @param {string} path @param {readonly string[]} of */
  const each = (path, of) => of.map((id) => `${path}/${id}`);
  return [
    '/', '/jobs', '/today', '/log', '/log/ledger', `/log/ledger?${held.toString()}`, '/log/season', '/plans', '/plans/new', `/plans/${plan}`, `/shelf/${feed}/lots/LF-2604`, '/log/looks', '/people', '/people/new', `/jobs/${walked}/run`, `/jobs/${done}/after`, ...each('/jobs', jobs), ...['machine', 'test', 'width'].map((stop) => `/jobs/${jobs[0]}/${stop}`), '/new/machine', '/sites', '/sites/new', ...each('/sites', sites),
    '/bench', '/bench/quick', '/bench/new', ...each('/bench', calibrations), `/bench/${calibrations[0]}/run`,
    '/bench/rigs', '/bench/rigs/new', ...each('/bench/rigs', rigs), '/bench/width', '/bench/width/new', ...each('/bench/width', widths),
    `/bench/${boom}`, `/bench/${boom}/run`, `/bench/rigs/${rig}`, '/bench/nozzles', '/bench/nozzles/new', `/jobs/${tank}`, '/patch',
    '/winter', '/winter/brine', '/winter/storms', '/winter/storms/new', `/winter/storms/${storm}`, `/winter/storms/${storm}/round`,
    '/winter/guides', '/winter/guides/new', `/winter/guides/${guide}`, '/winter/seasons', `/winter/seasons/${winter}`, `/winter/charts/${salter}`,
    '/bench/compare', '/bench/cards', '/bench/files',
    '/shelf', '/shelf/new', ...each('/shelf', products), '/shelf/compare', '/shelf/import', '/shelf/mix', '/shelf/soil', '/shelf/soil/new',
    ...each('/shelf/soil', soil), '/shelf/rules', '/shelf/rules/new', ...each('/shelf/rules', rules), '/no-such-page',
  ]; // prettier-ignore
}
