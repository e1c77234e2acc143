import { readdirSync, readFileSync } from 'node:fs';
import { openApi, ROUTES } from './openapi-document';

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'];

it('describes every route there is, each method with what it was made from', () => {
  const paths = readdirSync('src/app/api', { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('route.ts'))
    .map((name) => `/api/${name.replace('/route.ts', '').replaceAll('[id]', '{id}')}`);
  expect(Object.keys(ROUTES).toSorted()).toEqual(paths.toSorted());
  for (const [path, module] of Object.entries(ROUTES))
    for (const [name, route] of Object.entries(module))
      if (METHODS.includes(name))
        expect([path, name, 'spec' in (route as object)]).toEqual([path, name, true]);
});

it('docs/openapi.json is what the routes say by now: npm run openapi', () => {
  const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
  const written: unknown = JSON.parse(readFileSync('docs/openapi.json', 'utf8'));
  expect(written).toEqual(JSON.parse(JSON.stringify(openApi(version))));
});
