import { readFileSync, writeFileSync } from 'node:fs';
import { licencesPage } from './supply';

// npm run licences: writes docs/licences.md from package-lock.json.
const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
writeFileSync('docs/licences.md', licencesPage(lock));
