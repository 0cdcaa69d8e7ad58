// npm run types: the published description of the API, and the web's types of its answers, both from the server's own types.
// With --check nothing is written: it fails where what is committed is not what would be written.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createGenerator } from 'ts-json-schema-generator';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import prettier from 'prettier';
import { ensureBuilt, ensureModules, root, say, stopWith } from './lib/setup.mjs';

const check = process.argv.includes('--check');
const API = `${root}/server/openapi.json`;
const WEB = `${root}/web/src/data/api.types.ts`;
ensureModules();
ensureBuilt(['core', 'demo', 'server']);

/** Types of the core by name, with the folder that exports each. */
const coreTypes = new Map();
for (const folder of readdirSync(`${root}/core/src`))
  for (const file of readdirSync(`${root}/core/src/${folder}`, { recursive: true }))
    if (file.endsWith('.ts') && !file.endsWith('.test.ts'))
      for (const [, name] of readFileSync(`${root}/core/src/${folder}/${file}`, 'utf8').matchAll(
        /^export (?:interface|type) (\w+)/gm,
      ))
        // A name that two folders use is described as it is.
        coreTypes.set(name, coreTypes.has(name) && coreTypes.get(name) !== folder ? undefined : folder);

/** Names that a description may have: letters, digits and dashes. */
const nameOf = (key) =>
  decodeURIComponent(key)
    .replace(/[^\w]+/g, '-')
    .replace(/^-|-$/g, '');
const rename = (node) => {
  if (Array.isArray(node)) return node.map(rename);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node)
      .filter(([k]) => k !== '$comment')
      .map(([k, v]) =>
        k === '$ref' ? [k, `#/components/schemas/${nameOf(v.replace('#/definitions/', ''))}`] : [k, rename(v)],
      ),
  );
};
process.env.DATABASE_URL ??= 'mysql://nobody@127.0.0.1:1/none';
const { createApp, describeApi } = await import('../server/dist/index.js');
const app = await createApp({ quiet: true });
const api = describeApi(app);
await app.close();
const named = new Set([...JSON.stringify(api).matchAll(/"#\/components\/schemas\/([^"]+)"/g)].map((m) => m[1]));
const generator = createGenerator({
  path: `${root}/server/src/answers.ts`,
  tsconfig: `${root}/tsconfig.json`,
  skipTypeCheck: true,
  sortProps: true,
});
const definitions = {};
for (const name of named) {
  if (name in (api.components?.schemas ?? {})) continue;
  for (const [key, schema] of Object.entries(generator.createSchema(name).definitions ?? {})) {
    if (key in definitions && JSON.stringify(definitions[key]) !== JSON.stringify(schema))
      stopWith(`Two types are called ${key}: give one of them another name.`);
    definitions[key] = schema;
  }
}
const answers = Object.fromEntries(
  Object.entries(definitions)
    .map(([key, schema]) => [nameOf(key), rename(schema)])
    .sort(([a], [b]) => (a < b ? -1 : 1)),
);
api.components = { ...api.components, schemas: { ...api.components?.schemas, ...answers } };
for (const used of JSON.stringify(api).matchAll(/"#\/components\/schemas\/([^"]+)"/g))
  if (!(used[1] in api.components.schemas))
    stopWith(`A route answers with ${used[1]}, which server/src/answers.ts has not.`);

const format = async (text, path) => prettier.format(text, { ...(await prettier.resolveConfig(path)), filepath: path });
const own = new Set(readFileSync(`${root}/server/src/answers.ts`, 'utf8').match(/\w+/g));
for (const dir of readdirSync(`${root}/server/src`, { withFileTypes: true }))
  if (dir.isDirectory())
    for (const file of readdirSync(`${root}/server/src/${dir.name}`))
      if (file.endsWith('.answers.ts'))
        for (const [, name] of readFileSync(`${root}/server/src/${dir.name}/${file}`, 'utf8').matchAll(
          /^export interface (\w+)/gm,
        ))
          own.add(name);
const ast = await openapiTS(JSON.parse(JSON.stringify(api)), {
  immutable: true,
  // What the core has a type for is that type, not a copy of it.
  transform: (_schema, { path }) => {
    const name = /^#\/components\/schemas\/([^/]+)$/.exec(path ?? '')?.[1];
    const folder = name !== undefined && !own.has(name) ? coreTypes.get(name) : undefined;
    return folder === undefined
      ? undefined
      : ts.factory.createImportTypeNode(
          ts.factory.createLiteralTypeNode(ts.factory.createStringLiteral(`@rubbet/core/${folder}`)),
          undefined,
          ts.factory.createIdentifier(name),
        );
  },
});
// The web asks for shapes by name; what each route takes it knows from its own pages.
const shapes = ast.filter((node) => ts.isInterfaceDeclaration(node) && node.name.text === 'components');
const head = '// Made by npm run types from the description of the API; changed there, not here.\n';
const files = [
  [API, await format(JSON.stringify(api), API)],
  [WEB, await format(head + astToString(shapes), WEB)],
];
for (const [path, text] of files) {
  const now = (() => {
    try {
      return readFileSync(path, 'utf8');
    } catch {
      return '';
    }
  })();
  if (now === text) continue;
  if (check) stopWith(`${path.replace(`${root}/`, '')} is not what the server answers any more: run npm run types.`);
  writeFileSync(path, text);
  say(`Written: ${path.replace(`${root}/`, '')}`);
}
