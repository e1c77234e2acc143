import { readFileSync, writeFileSync } from 'node:fs';
import { openApi } from './openapi-document';

// Writes docs/openapi.json from what every route says of itself. usage: npm run openapi

const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
writeFileSync('docs/openapi.json', `${JSON.stringify(openApi(version), null, 1)}\n`);
