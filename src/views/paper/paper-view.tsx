'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useEffectEvent, useLayoutEffect, useRef, useState } from 'react';
import type { Meal } from '@/core/meal/meal';
import { drawing, escaped } from '@/core/paper/drawing';
import { hasLetters } from '@/core/paper/fonts';
import { MILLIMETRES, PAPER_SIZES, type PaperSize, prepPdf, SIZES, shoppingPdf, wallPdf } from '@/core/paper/pdf';
import { prepSheet, type WallSheet, wallSheet } from '@/core/paper/sheets';
import type { Plan } from '@/core/plan/plan';
import type { Bowl } from '@/core/prep/bowls';
import { shoppingList } from '@/core/prep/shopping';
import { sayDay } from '@/core/say/days';
import { say, spoken } from '@/core/say/say';
import { printThing } from '@/core/units/thing';
import { toldDrawing } from '@/core/units/told';
import { pantry } from '@/store/db';
import { tableInstant } from '@/store/meals';
import { Button } from '@/ui/button';
import { Download, saveFile } from '@/ui/download';
import { Pills } from '@/ui/pills';
import { Say } from '@/ui/say';
import { manner, toldHere } from '@/ui/told/manner';
import { HandOver } from '@/views/files/hand-over';
import { useMeal } from '@/views/shell/meal-frame';
import { LANGUAGES } from '@/words/languages';
import { halving } from './halving';
import { makePdf, pdfMaker } from './make-pdf';
import { useClock } from './use-clock';

const alarmWords = () =>
  [
    ['none', say('no alarm')],
    ['0', say('at the minute')],
    ['10', say('10 min before')],
  ] as const;

/** The meal on paper, in a calendar, and in files. */
export function PaperView() {
  const { meal, planned } = useMeal();
  const kept = useLiveQuery(() => pantry().settings.get('paper'))?.value;
  const usual: PaperSize = manner().amounts === 'american' ? 'LETTER' : 'A4';
  const size = PAPER_SIZES.find((each) => each === kept) ?? usual;
  const clock = useClock(meal);
  if (!planned.plan) return <p className="mt-4 text-lg">{say('There is no plan to put on paper yet.')}</p>;
  const { plan } = planned;
  const under = underOf(meal);
  return (
    <div>
      <div className="mt-3 grid gap-x-12 gap-y-6 lg:grid-cols-2 print:hidden">
        <OnPaper meal={meal} plan={plan} size={size} under={under} />
        <Elsewhere meal={meal} plan={plan} />
      </div>
      <Wall
        sheet={wallSheet(meal, plan, clock)}
        svg={toldDrawing(drawing(meal, plan, clock, escaped), manner())}
        under={under}
        size={size}
      />
    </div>
  );
}

function underOf(meal: Meal): string {
  return say('{hour} · {people} at the table · {table} · {kitchen}', {
    hour: sayDay(tableInstant(meal), 'date'),
    people: meal.people,
    table: meal.hour,
    kitchen: meal.kitchen.name,
  });
}

interface OnPaperProps {
  readonly meal: Meal;
  readonly plan: Plan;
  readonly size: PaperSize;
  readonly under: string;
}

function OnPaper({ meal, plan, size, under }: OnPaperProps) {
  const clock = useClock(meal);
  const [told, setTold] = useState('');
  const canBeSet = LANGUAGES.every(({ tag, name }) => tag !== spoken() || hasLetters(name));
  useEffect(() => {
    if (!canBeSet) return;
    // Where the app is kept on the device, what makes PDFs is there too: it is taken out when one is made.
    if (navigator.serviceWorker?.controller) {
      setTold(say('PDFs can be saved now, also without a network.'));
      return;
    }
    pdfMaker().then(
      () => setTold(say('PDFs can be saved now, also without a network.')),
      () => setTold(say('The PDF maker did not load; open this page again while there is a network, or print.')),
    );
  }, [canBeSet]);
  const save = async (name: string, sheet: Parameters<typeof makePdf>[0]) => {
    setTold(say('Making the PDF…'));
    try {
      saveFile(`${meal.id}-${name}.pdf`, await makePdf(sheet));
      setTold(say('Saved.'));
    } catch (error) {
      console.error(error);
      setTold(say('The PDF could not be made. Print the page instead, and choose to save it as a PDF there.'));
    }
  };
  const spell = ({ amount, name }: Bowl) => (amount ? printThing(amount, name) : ` ${name}`);
  return (
    <section aria-label={say('On paper')}>
      <h2 className="text-2xl">{say('On paper')}</h2>
      <div className="mt-2">
        <Pills
          label={say('Paper')}
          value={size}
          options={PAPER_SIZES.map((each) => [each, each === 'A4' ? 'A4' : say('US Letter')] as const)}
          onChange={(value) => void pantry().settings.put({ name: 'paper', value })}
        />
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="strong" onClick={() => window.print()}>
          {say('Print the sheet for the wall')}
        </Button>
        {canBeSet && (
          <>
            <Button
              onClick={() =>
                void save('wall', (points) =>
                  wallPdf(wallSheet(meal, plan, clock), under, drawing(meal, plan, clock), size, points),
                )
              }
            >
              {say('Save it as PDF')}
            </Button>
            <Button
              onClick={() => void save('prep', (points) => prepPdf(prepSheet(meal, plan, spell), under, size, points))}
            >
              {say('Laid out, PDF')}
            </Button>
            <Button
              onClick={() =>
                void save('shopping', (points) => shoppingPdf(meal.name, under, shoppingList(meal), size, points))
              }
            >
              {say('Shopping, PDF')}
            </Button>
          </>
        )}
      </div>
      <p role="status" className="mt-1 text-faint">
        {canBeSet
          ? told
          : say('PDFs made here do not have these letters yet. Print, and choose to save it as a PDF there.')}
      </p>
    </section>
  );
}

const plans = () => import('@/core/formats/plan-file');

function Elsewhere({ meal, plan }: { readonly meal: Meal; readonly plan: Plan }) {
  const [which, setWhich] = useState<'all' | 'earlier days'>('all');
  const [alarm, setAlarm] = useState<'none' | '0' | '10'>('0');
  const tableAt = tableInstant(meal);
  const stored = useLiveQuery(() => pantry().meals.get(meal.id), [meal.id]);
  const calendar = async () =>
    (await import('@/core/formats/calendar')).planCalendar(meal, plan, {
      tableAt,
      midnight: new Date(`${meal.day}T00:00`).getTime(),
      which,
      alarm: alarm === 'none' ? null : Number(alarm),
      now: Date.now(),
      changedAt: stored?.changedAt ?? 0,
      spell: toldHere,
    });
  const wholeMeal = async () => {
    const { fileOfMeal } = await import('@/store/files');
    return JSON.stringify(await fileOfMeal(pantry(), meal.id), null, 2);
  };
  return (
    <section aria-label={say('Elsewhere')}>
      <h2 className="text-2xl">{say('Elsewhere')}</h2>
      <div className="mt-2 flex flex-wrap items-end gap-x-6 gap-y-2">
        <Pills
          label={say('Calendar')}
          value={which}
          options={[
            ['all', say('every cue')],
            ['earlier days', say('only the days before')],
          ]}
          onChange={setWhich}
        />
        <Pills label={say('Alarm')} value={alarm} options={alarmWords()} onChange={setAlarm} />
        <Download name={`${meal.id}.ics`} type="text/calendar" text={calendar}>
          {say('save for a calendar')}
        </Download>
      </div>
      <div className="mt-2 flex flex-wrap gap-x-6">
        <Download
          name={`${meal.id}-plan.csv`}
          type="text/csv"
          text={async () => (await plans()).planTable(plan, tableAt)}
        >
          {say('plan as a table')}
        </Download>
        <Download
          name={`${meal.id}-plan.json`}
          text={async () => JSON.stringify((await plans()).planFile(meal.name, plan, tableAt), null, 2)}
        >
          {say('plan as JSON')}
        </Download>
        <Download name={`${meal.id}.json`} text={wholeMeal}>
          {say('the whole meal as a file')}
        </Download>
      </div>
      <h3 className="mt-4 text-xl">{say('On another device')}</h3>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <HandOver mealId={meal.id} />
      </div>
    </section>
  );
}

interface WallProps {
  readonly sheet: WallSheet;
  readonly svg: string;
  readonly under: string;
  readonly size: PaperSize;
}

const POINTS = 96 / 72;
/** As in the class of the sheet. */
const MARGIN_MM = 10;
const PX_PER_MM = 96 / 25.4;
/** Between two pages some of it stays empty: no row is torn apart. */
const FILLED = 0.94;

/** The sheet as it is printed, on screen too: of its true width, on as few pages as its smallest letters need, with the largest that keep it on them. */
function Wall({ sheet, svg, under, size }: WallProps) {
  const page = useRef<HTMLElement>(null);
  const [width, height] = MILLIMETRES[size];
  const [pages, setPages] = useState(1);
  const room = (height - 2 * MARGIN_MM) * PX_PER_MM - 2;
  const fit = () => {
    const own = page.current;
    if (!own) return;
    own.style.minHeight = '0';
    const inLetters = (points: number) => {
      own.style.fontSize = `${points * POINTS}px`;
      if (own.scrollWidth > own.clientWidth) return Number.POSITIVE_INFINITY;
      const tall = own.scrollHeight - 2 * MARGIN_MM * PX_PER_MM;
      return tall <= room ? 1 : Math.ceil(tall / (FILLED * room));
    };
    const fewest = inLetters(SIZES.at(-1)!);
    const search = halving(SIZES);
    let turn = search.next();
    while (!turn.done) turn = search.next(inLetters(turn.value) <= fewest);
    inLetters(turn.value ?? SIZES.at(-1)!);
    own.style.minHeight = '';
    setPages(Number.isFinite(fewest) ? fewest : 1);
  };
  useLayoutEffect(fit);
  // What comes later makes the sheet longer, and would be cut off: letters, the drawing. What is printed is looked at just before.
  const fitAgain = useEffectEvent(fit);
  useEffect(() => {
    const again = () => fitAgain();
    document.fonts.addEventListener('loadingdone', again);
    addEventListener('beforeprint', again);
    return () => {
      document.fonts.removeEventListener('loadingdone', again);
      removeEventListener('beforeprint', again);
    };
  }, []);
  return (
    <>
      <style>
        {size === 'A4'
          ? `@page { size: A4 portrait; margin: ${MARGIN_MM}mm }`
          : `@page { size: letter portrait; margin: ${MARGIN_MM}mm }`}
      </style>
      {pages > 1 && (
        <p role="status" className="mt-4 text-faint print:hidden">
          {say('On one page the letters would be too small to be read from the stove: it takes {pages}.', { pages })}
        </p>
      )}
      <div className="mt-6 overflow-x-auto print:m-0 print:overflow-visible">
        <article
          ref={page}
          data-testid="wall-sheet"
          aria-label={say('The sheet for the kitchen wall')}
          className="sheet min-h-(--page) w-(--wide) bg-white p-[10mm] text-black shadow-sm print:min-h-0 print:w-auto print:p-0 print:shadow-none"
          style={{
            ['--page' as string]: `${height}mm`,
            ['--wide' as string]: `${width * PX_PER_MM}px`,
            lineHeight: 1.25,
          }}
        >
          <h2 style={{ fontSize: '1.9em', lineHeight: 1.1 }}>{sheet.title}</h2>
          <p>{under}</p>
          {sheet.odds && <p>{sheet.odds}</p>}
          {sheet.clocks && <p>{sheet.clocks}</p>}
          {/* biome-ignore lint/performance/noImgElement: a drawing made on the spot, nothing to optimise */}
          <img
            alt={say('The evening drawn: a row a station, a bar a step, numbered by dish')}
            src={`data:image/svg+xml,${encodeURIComponent(svg)}`}
            style={{ width: '100%' }}
            onLoad={fit}
          />
          <p style={{ margin: '0.2em 0 0.6em' }}>
            {sheet.dishes.map(({ number, name, lands }) => (
              <span key={number} style={{ display: 'inline-block', marginRight: '1.2em' }}>
                <strong>{number}</strong> {name}
                {lands && ` (${lands})`}
              </span>
            ))}
          </p>
          <ol style={{ columnCount: 2, columnGap: '1.5em' }}>
            {sheet.rows.map((row) => (
              <li key={row.key} style={{ breakInside: 'avoid', marginBottom: '0.2em' }}>
                {row.day && <p style={{ fontWeight: 700, marginTop: '0.4em' }}>{row.day}</p>}
                <div style={{ display: 'flex', gap: '0.5em' }}>
                  <strong className="tabular-nums">{row.time}</strong>
                  <span>
                    {row.marks.length > 0 ? (
                      <Say
                        words="{step} ({marks}) · {where} · to {until}"
                        values={{
                          step: (
                            <strong>
                              {row.step}, {row.dish}
                            </strong>
                          ),
                          marks: row.marks.join(say(', ')),
                          where: row.where,
                          until: row.until,
                        }}
                      />
                    ) : (
                      <Say
                        words="{step} · {where} · to {until}"
                        values={{
                          step: (
                            <strong>
                              {row.step}, {row.dish}
                            </strong>
                          ),
                          where: row.where,
                          until: row.until,
                        }}
                      />
                    )}
                    {row.goesIn && <span style={{ display: 'block' }}>{row.goesIn}</span>}
                  </span>
                </div>
              </li>
            ))}
          </ol>
          <p style={{ marginTop: '0.5em' }}>
            <strong>{say('Careful.')}</strong>{' '}
            {sheet.cautions.map(({ mark, says }) => (
              <span key={mark}>
                <strong>{mark}</strong> {says}{' '}
              </span>
            ))}
            {say('Your local rules and the maker’s instructions come first.')}
          </p>
        </article>
      </div>
    </>
  );
}
