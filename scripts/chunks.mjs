/**
 * Deals what the bundler wrote out anew, so that a page waits for what it needs and for nothing else.
 *
 * The bundler puts every module that two screens share into one file, has the first page wait for it, and gives each
 * worker a copy of all it needs. Here modules that the same screens and workers need share a file; a screen's
 * files are asked for together, workers read the very files that the page has read, and a page that opens on a
 * screen asks for its files before the app itself has started.
 *
 * A built file is one `__d(function(g,r,i,a,m,e,d){…},id,[ids it requires]);` after another, and `__r(id);` for
 * what runs. Ids are the same in all files, and what is defined twice counts once.
 */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './prepare.mjs';

const ADDRESS = '/_expo/static/js/web/';
const FOLDER = path.join(ROOT, 'dist', ADDRESS);
const PAGE = path.join(ROOT, 'dist/index.html');
/** What is shared and smaller is copied to those who need it: not worth a request of its own. */
const LEAST_CHARACTERS = 16_000;
/** What starts the app comes in files of about this size, read side by side. */
const MOST_CHARACTERS = 450_000;

const MODULE = /^(?<code>__d\([\s\S]*),(?<id>\d+),(?<needs>\[[\d,null]*\]|\{.*\})\);$/;

/** A module: its code, what it requires at once, what it asks for later, the workers it starts. */
function parse(text) {
  const match = MODULE.exec(text.trim());
  if (!match) throw new Error(`A module is not written as expected: ${text.slice(-200)}`);
  const { code, id, needs } = match.groups;
  const { paths = {}, ...list } = JSON.parse(needs);
  const asked = (pattern) => new Set([...code.matchAll(pattern)].map(([, at]) => at));
  const forWorkers = asked(/unstable_resolve\(d\[(\d+)\],d\.paths/g);
  const forLater = asked(/\(d\[(\d+)\],d\.paths/g);
  // By place in the list: what is required at once may be asked for later, too.
  const those = (is) =>
    Object.entries(list).flatMap(([at, dep]) => (is(at) && dep !== null ? [dep] : []));
  const workers = those((at) => forWorkers.has(at));
  const later = those((at) => forLater.has(at) && !forWorkers.has(at));
  const now = those((at) => !forLater.has(at));
  return { id: Number(id), code, list, paths, now, later, workers };
}

/** A built file: what stands before its modules, the modules, and what runs when they are there. */
function read(name) {
  const text = readFileSync(path.join(FOLDER, name), 'utf8');
  const starts = [...text.matchAll(/^__r\((\d+)\);?$/gm)].map(([, id]) => Number(id));
  const [before, ...modules] = `\n${text}`.replace(/^__r\(\d+\);?$/gm, '').split(/^(?=__d\()/m);
  return { name, before, modules: modules.map(parse), starts };
}

const files = readdirSync(FOLDER)
  .filter((name) => name.endsWith('.js'))
  .map(read);
const fileCalled = (start) => files.find(({ name }) => name.startsWith(start));
const runtime = fileCalled('__expo-metro-runtime');
const entry = fileCalled('entry-');
const modules = new Map(files.flatMap((file) => file.modules.map((module) => [module.id, module])));

/** All that is required at once from somewhere, but for what is there already. */
function closure(roots, there = new Set()) {
  const found = new Set();
  const todo = [...roots];
  while (todo.length > 0) {
    const id = todo.pop();
    if (found.has(id) || there.has(id)) continue;
    const module = modules.get(id);
    if (!module) throw new Error(`No file holds module ${id}`);
    found.add(id);
    todo.push(...module.now);
  }
  return found;
}

/** Screens as the router's table has them: `"./shoot/[id]/ground.tsx":{enumerable:true,get(){return r(d[1])(d[9],d.paths)`. */
const SCREEN =
  /"\.\/([^"]+)\.tsx":\{enumerable:true,get\(\)\{return r\(d\[\d+\]\)\(d\[(\d+)\],d\.paths\)/g;
const screens = new Map(
  [...modules.values()].flatMap(({ code, list }) =>
    [...code.matchAll(SCREEN)].map(([, route, at]) => [route, list[at]]),
  ),
);

/** What the first page is made of: what starts the app, what stands around each screen, the list of shoots. */
const first = closure([...entry.starts, screens.get('_layout'), screens.get('index')]);
const startsWorkers = [...modules.values()].filter(({ workers }) => workers.length > 0);
const workers = new Map(
  startsWorkers.flatMap((module) =>
    module.workers.map((id) => [id, fileCalled(path.basename(module.paths[id]))]),
  ),
);
const later = new Set([...modules.values()].flatMap((module) => module.later));

const laterIds = [...later].filter((id) => !first.has(id));

/** What stands around each screen: the layouts of its folders, by their ids. */
const around = new Map(
  [...screens].map(([route, id]) => {
    const folders = route
      .split('/')
      .map((_, at, parts) => [...parts.slice(0, at), '_layout'].join('/'));
    const layouts = folders.flatMap((layout) => screens.get(layout) ?? []);
    return [id, layouts.filter((layout) => layout !== id && !first.has(layout))];
  }),
);
const aroundOf = (id) => around.get(id) ?? [];

/** All that is there once something has been read, and what stands around it. */
const whole = (id) => closure([id, ...aroundOf(id)]);

/**
 * What is there already when something is asked for: the first page; what stands around a screen; and what all have
 * in common from where it can be asked for.
 */
function thereBefore(id) {
  if (aroundOf(id).length > 0) return new Set([...first, ...closure(aroundOf(id))]);
  const asking = [...modules.values()].filter((module) => module.later.includes(id));
  if (asking.some((module) => first.has(module.id))) return first;
  const from = laterIds
    .filter((other) => other !== id)
    .map(whole)
    .filter((read) => asking.some((module) => read.has(module.id)));
  const [some = first, ...others] = from;
  return new Set([...first, ...[...some].filter((one) => others.every((read) => read.has(one)))]);
}

/** Those that ask for modules: each screen, each thing asked for later, each worker. */
const askers = [
  ...laterIds.map((id) => ({ id, needs: closure([id], thereBefore(id)), own: [], files: [] })),
  ...[...workers].map(([id, { starts }]) => ({
    ...{ id, worker: true, needs: closure(starts), own: [], files: [] },
  })),
];

/**
 * Modules that the same ask for. What asks for more by itself is not shared with workers, nor is the first page.
 * What is asked for by name is in no shared file: it is read last, so that it is found only with all it needs.
 */
const groups = new Map();
for (const id of new Set(askers.flatMap(({ needs }) => [...needs]))) {
  const module = modules.get(id);
  const simple = module.later.length === 0 && module.workers.length === 0 && !first.has(id);
  const all = askers.filter(({ needs }) => needs.has(id));
  const sharing = all.filter(({ worker }) => simple || !worker);
  all.filter((asker) => !sharing.includes(asker)).forEach(({ own }) => own.push(module));
  if (sharing.length === 0) continue;
  const key = `${later.has(id)} ${sharing.map((asker) => asker.id).join()}`;
  if (!groups.has(key)) groups.set(key, { sharing, members: [], last: later.has(id) });
  groups.get(key).members.push(module);
}

/** Modules as they are written: a worker by its address, what is asked for later by its id. */
function written(members, workerAddress = new Map()) {
  return members
    .map(({ code, id, list, later: asks, workers: starts }) => {
      const paths = [
        ...asks.filter((ask) => !first.has(ask)).map((ask) => [ask, String(ask)]),
        ...starts.map((start) => [start, workerAddress.get(start)]),
      ];
      const needs =
        paths.length > 0 ? { ...list, paths: Object.fromEntries(paths) } : Object.values(list);
      return `${code},${id},${JSON.stringify(needs)});\n`;
    })
    .join('');
}

/** Writes a file under a name that says its content; answers with its address. */
function write(text, called = 'c') {
  const name = `${called}-${createHash('md5').update(text).digest('hex')}.js`;
  writeFileSync(path.join(FOLDER, name), text);
  return ADDRESS + name;
}

const sizeOf = (members) => members.reduce((sum, { code }) => sum + code.length, 0);
const shared = [];
for (const group of groups.values()) {
  const { sharing, members, last } = group;
  if (!last && sharing.length > 1 && sizeOf(members) >= LEAST_CHARACTERS) shared.push(group);
  else sharing.forEach(({ own }) => own.push(...members));
}
files.forEach(({ name }) => rmSync(path.join(FOLDER, name)));

// Shared with a worker first: their names stand in its file, and its name in others.
const withWorkers = ({ sharing }) => sharing.some(({ worker }) => worker);
for (const group of shared.filter(withWorkers)) {
  const address = write(written(group.members));
  group.sharing.forEach((asker) => asker.files.push(address));
}
const workerAddress = new Map(
  askers
    .filter(({ worker }) => worker)
    .map(({ id, own, files: read }) => {
      const { name, before, starts } = workers.get(id);
      const called = name.replace(/-[0-9a-f]{32}\.js$/, '');
      const reads = read.length > 0 ? `importScripts(${read.map((file) => `"${file}"`)});\n` : '';
      const runs = starts.map((start) => `__r(${start});\n`).join('');
      return [id, write(before + reads + written(own) + runs, called)];
    }),
);
for (const group of shared.filter((candidate) => !withWorkers(candidate))) {
  const address = write(written(group.members, workerAddress));
  group.sharing.forEach((asker) => asker.files.push(address));
}
for (const asker of askers.filter(({ worker }) => !worker)) {
  asker.files.push(write(written(asker.own, workerAddress)));
}

const filesOf = new Map(askers.map((asker) => [String(asker.id), asker.files]));
/** Addresses that a screen has, and the files of what stands around it, then its own. */
const opens = [...screens].flatMap(([route, id]) => {
  if (route.endsWith('_layout') || !filesOf.has(String(id))) return [];
  const pattern = route.replace(/(^|\/)index$/, '').replace(/\[\w+\]/g, '[^/]+');
  return [[`^/${pattern}/?$`, [...aroundOf(id), id].flatMap((key) => filesOf.get(String(key)))]];
});

/**
 * Runs before the app. All files of a thing are asked for together, its own read last; those of the page that is
 * opened as soon as all but the last of the app's have arrived: the line carries them while the app starts.
 */
function ahead(filesById, byAddress) {
  const asked = new Set();
  const ask = (file) => {
    if (asked.has(file)) return;
    asked.add(file);
    const link = document.createElement('link');
    document.head.append(Object.assign(link, { rel: 'preload', as: 'script', href: file }));
  };
  globalThis.__askAhead = () => {
    const here = byAddress.filter(([address]) => new RegExp(address).test(location.pathname));
    here.forEach(([, list]) => list.forEach(ask));
  };
  let load;
  const loadAll = async (id) => {
    const { around, files } = filesById[id];
    const own = files.at(-1);
    ask(own);
    await Promise.all([...around.map(loadAll), ...files.slice(0, -1).map(load)]);
    await load(own);
  };
  // What is known of languages takes long to open, whoever asks first: it is done while the line is at work.
  setTimeout(() => 'a'.localeCompare('b'));
  Object.defineProperty(globalThis, '__loadBundleAsync', {
    get: () => load && loadAll,
    set: (loadFile) => (load = loadFile),
  });
}

const pageFiles = Object.fromEntries(
  askers
    .filter(({ worker }) => !worker)
    .map(({ id, files: own }) => [id, { around: aroundOf(id), files: own }]),
);
const start = write(
  `${runtime.before}${written(runtime.modules)};(${ahead})(${JSON.stringify(pageFiles)},${JSON.stringify(opens)});`,
);
const starting = [[]];
for (const id of first) {
  if (sizeOf(starting.at(-1)) > MOST_CHARACTERS) starting.push([]);
  starting.at(-1).push(modules.get(id));
}
// The largest last: those before it have arrived by then, and the page's own are asked for.
starting.sort((one, other) => sizeOf(one) - sizeOf(other));
const runs = entry.starts.map((id) => `__r(${id});\n`);
// The app itself in a turn of its own: reading the largest file has just taken one. What comes before it asks
// which script runs.
const appRuns = `${runs.slice(0, -1).join('')}setTimeout(() => {\n${runs.at(-1)}});\n`;
const firstFiles = starting.map((members, at) => {
  const then =
    at === starting.length - 1 ? appRuns : at === starting.length - 2 ? '__askAhead();' : '';
  return write(written(members, workerAddress) + then);
});
const tags = [start, ...firstFiles].map((file) => `<script src="${file}" defer></script>`).join('');
writeFileSync(
  PAGE,
  readFileSync(PAGE, 'utf8').replace(/(?:<script src="[^"]+" defer><\/script>)+/, tags),
);

/** Modules that files of a page hold. */
const held = new Map(
  askers.map(({ id, own, worker }) => [
    id,
    new Set(
      worker
        ? []
        : [
            ...own,
            ...shared
              .filter(({ sharing }) => sharing.some((one) => one.id === id))
              .flatMap(({ members }) => members),
          ].map((module) => module.id),
    ),
  ]),
);
/** All that is there when something has been read from where it can be asked for. */
const there = (id) => [id, ...aroundOf(id)].flatMap((one) => [...(held.get(one) ?? [])]);
for (const id of laterIds) {
  const asking = [...modules.values()].filter((module) => module.later.includes(id));
  for (const { id: from } of asking) {
    const readers = first.has(from)
      ? [undefined]
      : laterIds.filter((other) => held.get(other).has(from));
    for (const reader of readers) {
      const found = new Set([
        ...first,
        ...there(id),
        ...(reader === undefined ? [] : there(reader)),
      ]);
      const missing = [...closure([id])].find((needed) => !found.has(needed));
      if (missing) throw new Error(`Asked for from module ${from}, ${id} would lack ${missing}`);
    }
  }
}
const kB = (list) => `${Math.round(sizeOf(list) / 1000)} kB`;
console.log(
  `Dealt ${files.length} files out anew: ${kB([...first].map((id) => modules.get(id)))} start the app`,
);
