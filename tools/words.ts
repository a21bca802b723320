import { readFileSync, writeFileSync } from 'node:fs';
import { LANGUAGES } from '../src/words/languages';
import { dishWords } from './dish-words';
import { allMessages, catalogFile, faultsOfCatalog, type Said } from './messages';

// npm run words: what each language lacks. `-- --missing de` prints those messages as JSON, to be filled in; `-- --take de FILE` takes such a file
// in; `-- --tidy` drops what nobody says any more. "dishes/de" stands for what dishes keep. Catalogs are sorted by their English.

const { messages, written, faults } = allMessages();
const kept = dishWords(written.map(({ text }) => text)).map((text): Said => ({ text, where: 'a dish' }));
const saidIn = (tag: string) => (tag.startsWith('dishes/') ? kept : messages);
const catalogOf = (tag: string): Record<string, string> => JSON.parse(readFileSync(catalogFile(tag), 'utf8'));
const write = (tag: string, catalog: Readonly<Record<string, string>>) => {
  const sorted = Object.entries(catalog).sort(([a], [b]) => (a < b ? -1 : 1));
  writeFileSync(catalogFile(tag), `${JSON.stringify(Object.fromEntries(sorted), null, 2)}\n`);
};
const [command, tag = '', file = ''] = process.argv.slice(2);

if (command === '--missing') {
  const { missing } = faultsOfCatalog(tag, catalogOf(tag), saidIn(tag));
  console.log(JSON.stringify(Object.fromEntries(missing.map((text) => [text, ''])), null, 1));
} else if (command === '--take') {
  write(tag, { ...catalogOf(tag), ...JSON.parse(readFileSync(file, 'utf8')) });
} else {
  console.log(`${messages.length} messages; ${kept.length} texts of dishes.`);
  for (const fault of faults) console.log(fault);
  for (const { tag: language, name } of LANGUAGES) {
    if (language === 'en') continue;
    for (const tag of [language, `dishes/${language}`]) {
      const catalog = catalogOf(tag);
      const { missing, unsaid, wrong } = faultsOfCatalog(tag, catalog, saidIn(tag));
      console.log(
        `${tag} ${name}: ${missing.length} missing, ${unsaid.length} that nobody says, ${wrong.length} wrong.`,
      );
      for (const line of wrong) console.log(`  ${line}`);
      if (command === '--tidy')
        write(tag, Object.fromEntries(Object.entries(catalog).filter(([key]) => !unsaid.includes(key))));
    }
  }
}
