'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { say } from '@/core/say/say';
import { CLOCK_MANNERS, FIGURES, type Manner } from '@/core/units/manner';
import { AS_WRITTEN, inFigures, told } from '@/core/units/told';
import { Button } from '@/ui/button';
import { Pills } from '@/ui/pills';
import { Select } from '@/ui/select';
import { useTitle } from '@/ui/title';
import { chooseLanguage, chosenLanguage, useSpoken } from '@/ui/told/language';
import { chooseManner, useManner } from '@/ui/told/manner';
import { LANGUAGES, type Tag } from '@/words/languages';
import { OwnMeasures } from './own-measures';

const amountWords = (): readonly (readonly [Manner['amounts'], string])[] => [
  ['metric', say('grams and litres')],
  ['american', say('US cups, ounces, pounds, inches')],
  ['australian', say('cups and spoons of Australia, grams')],
];
const heatWords = (): readonly (readonly [Manner['heat'], string])[] => [
  ['celsius', say('Celsius')],
  ['fahrenheit', say('Fahrenheit')],
  ['gas', say('gas marks')],
];
const clockWords = (): Readonly<Record<Manner['clock'], string>> => ({
  '24 hours': say('24 hours'),
  'am and pm': say('AM and PM'),
});

const figureWords = (): readonly (readonly [Manner['figures'], string])[] =>
  FIGURES.map((figures) => [figures, inFigures('1 2 3 4', figures).replaceAll(/\d/g, `$&${AS_WRITTEN}`)]);

/** A line in which everything occurs that is told in one manner or another. */
const sample = () => say('At 18:40: 280 g of rice and 620 ml of water into the pot of 2.5 l; the oven to 200 °C.');

/** How this browser tells what is measured: one place for every view, sheet and file for people. */
export function MeasuresView() {
  useTitle(say('Language and measures'));
  const router = useRouter();
  const now = useManner();
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{say('Language and measures')}</h1>
        <Button onClick={() => router.back()}>{say('Back')}</Button>
      </div>
      <p className="mt-1 max-w-prose text-lg text-faint">
        {say(
          'Chosen by what this browser asks for at first. Everything is told so from now on, whoever wrote it: plans, recipes, paper, calendar and what is spoken. Nothing that is stored changes.',
        )}
      </p>
      <div className="mt-5 grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <section aria-label={say('What is told')} className="grid content-start gap-5">
          <Language />
          <Pills
            label={say('Amounts')}
            value={now.amounts}
            options={amountWords()}
            onChange={(amounts) => chooseManner({ amounts })}
          />
          <Pills
            label={say('Heat')}
            value={now.heat}
            options={heatWords()}
            onChange={(heat) => chooseManner({ heat })}
          />
          <Pills
            label={say('Hours')}
            value={now.clock}
            options={CLOCK_MANNERS.map((clock) => [clock, clockWords()[clock]] as const)}
            onChange={(clock) => chooseManner({ clock })}
          />
          <Pills
            label={say('Before tenths')}
            value={now.decimal}
            options={[
              ['point', say('a point')],
              ['comma', say('a comma')],
            ]}
            onChange={(decimal) => chooseManner({ decimal })}
          />
          <Pills
            label={say('Figures')}
            value={now.figures}
            options={figureWords()}
            onChange={(figures) => chooseManner({ figures })}
          />
          <p className="border-s-4 border-line ps-3 text-lg" data-verbatim data-testid="told-sample">
            {told(sample(), now)}
          </p>
        </section>
        <OwnMeasures />
      </div>
    </>
  );
}

/** In which language the app is read. Each is named as it names itself, for whoever cannot read the one that is spoken. */
function Language() {
  const { tag } = useSpoken();
  const [chosen, setChosen] = useState<Tag | null>(null);
  useEffect(() => setChosen(chosenLanguage()), []);
  const choose = (wanted: Tag | null) => {
    setChosen(wanted);
    void chooseLanguage(wanted);
  };
  const own = LANGUAGES.find((each) => each.tag === tag)!;
  return (
    <Select
      label={tag === 'en' ? 'Language' : `${say('Language')} · Language`}
      value={chosen}
      options={[
        [null, say('as the browser asks: {language}', { language: own.name })],
        ...LANGUAGES.map((each) => [each.tag, each.name] as const),
      ]}
      onChange={choose}
    />
  );
}
