'use client';

import { Pin as PinMark } from 'lucide-react';
import { useEffect, useId, useRef, useState } from 'react';
import type { Range } from '@/core/heat/boil';
import { clockAt, minuteAt, type TableHour, tableInstant } from '@/core/plain/wall-clock';
import type { DishOdds, Landing, Plan } from '@/core/plan/plan';
import { ofTwenty, saySpread } from '@/core/plan/say-odds';
import { HOT_HOUR_MINUTES } from '@/core/plan/weights';
import { ON_TIME } from '@/core/plan/well-landed';
import { prepStretch } from '@/core/prep/hot-hour';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { printSpan } from '@/ui/clock';
import { pigmentAt } from '@/ui/pigments';
import { useDress } from '@/views/shell/shell';
import {
  ghostOf,
  HANDS,
  type Join,
  type LandingMark,
  layOut,
  type Ribbon,
  type ScoreLayout,
  scaleOf,
  type WaitLine,
  waitWordsWidth,
} from './layout';
import { PatternDefinition } from './patterns';
import type { TimeScale } from './scale';
import { useDrag } from './use-drag';
import { type Hand, isPinned } from './use-hand';

export const NAMES = 138;
export const LANDINGS = 232;

interface SheetProps {
  readonly plan: Plan;
  readonly dishIds: readonly string[];
  readonly width: number;
  /** Height that can be seen at once. */
  readonly room: number;
  readonly zoom: number;
  readonly selected: string | null;
  readonly onSelect: (key: string) => void;
  /** Minutes relative to the table of the present, when it falls on the sheet. */
  readonly present: number | null;
  /** Null while nothing can be moved. */
  readonly hand: Hand | null;
}

interface PatternsProps {
  readonly prefix: string;
  readonly dishIds: readonly string[];
  readonly dress: ReturnType<typeof useDress>;
}

/** The pattern of each dish, told apart without colour too. */
function Patterns({ prefix, dishIds, dress }: PatternsProps) {
  return (
    <defs>
      {dishIds.map((id, index) => (
        <PatternDefinition
          key={id}
          id={`${prefix}-${index}`}
          pattern={pigmentAt(index).pattern}
          colour={pigmentAt(index)[dress]}
          mark={dress === 'day' ? '#fff' : '#000'}
        />
      ))}
    </defs>
  );
}

/** The score itself: staves, ribbons, what waits, the hands and the landing edge. */
export function Sheet({ plan, dishIds, width, room, zoom, selected, onSelect, present, hand }: SheetProps) {
  const dress = useDress();
  const [pointed, setPointed] = useState<string | null>(null);
  const prefix = useId().replace(/:/g, '');
  const drawn = useRef<ScoreLayout>(null);
  const { drag, handlers } = useDrag({
    left: NAMES,
    drawn,
    onTake: hand && !hand.busy ? (key) => onSelect(key) : null,
    onLook: (pin) => hand?.look(pin),
    onDrop: (pin) => hand?.move(pin),
    onGiveUp: () => hand?.giveUp(),
  });
  const scale = drag?.layout.scale ?? scaleOf(plan, Math.max(320, width - NAMES - LANDINGS), zoom);
  const layout = layOut(plan, scale, room);
  useEffect(() => {
    drawn.current = layout;
  });
  const wished = hand?.wish ? ghostOf(layout, hand.wish) : null;
  const total = NAMES + scale.width + LANDINGS;
  const place = (dishId: string) => Math.max(0, dishIds.indexOf(dishId));
  const colour = (dishId: string) => pigmentAt(place(dishId))[dress];
  const chosen = plan.steps.find((step) => step.key === selected);
  const chosenDish = chosen?.dishId;
  const chain = new Set(chosen?.chain);
  const faded = (dishId: string) => chosenDish !== undefined && chosenDish !== dishId;
  const bottom = layout.handsTop - 6;
  return (
    <>
      <RowNames layout={layout} />
      <svg
        width={total}
        height={layout.height}
        aria-label={say('The score')}
        className="block select-none"
        style={{ fontVariantNumeric: 'tabular-nums' }}
        {...handlers}
      >
        <Patterns prefix={prefix} dishIds={dishIds} dress={dress} />
        {layout.staves.map(({ station, top, height }) => (
          <g key={station.id}>
            <line x1={0} x2={NAMES + layout.tableX} y1={top + height} y2={top + height} stroke="var(--line)" />
          </g>
        ))}
        <g transform={`translate(${NAMES} 0)`}>
          <Grid scale={scale} ticks={layout.ticks} bottom={bottom} />
          <DayHeads scale={scale} table={plan} />
          <Stretch scale={scale} stretch={prepStretch(plan)} says={say('laying out')} colour="var(--faint)" />
          <Stretch
            scale={scale}
            stretch={{ from: -HOT_HOUR_MINUTES, to: 0 }}
            says={say('the last hour')}
            colour="var(--ember)"
          />
          {layout.waits.map((wait) => (
            <Waiting
              key={`${wait.x1} ${wait.y}`}
              wait={wait}
              colour={colour(wait.dishId)}
              faded={faded(wait.dishId)}
              hooked={wait.dishId === chosenDish || wait.dishId === pointed}
            />
          ))}
          {layout.joins
            .filter(({ dishId }) => dishId === chosenDish || dishId === pointed)
            .map((join) => (
              <JoinLine key={`${join.x1} ${join.y1} ${join.x2} ${join.y2}`} join={join} colour={colour(join.dishId)} />
            ))}
          {layout.landings.map((mark) => (
            <Landed
              key={mark.landing.dishId}
              mark={mark}
              tableX={layout.tableX}
              edge={scale.width}
              colour={colour(mark.landing.dishId)}
              faded={faded(mark.landing.dishId)}
              table={plan}
              odds={plan.odds?.dishes.find(({ dishId }) => dishId === mark.landing.dishId)}
            />
          ))}
          <line x1={layout.tableX} x2={layout.tableX} y1={TOP_LINE} y2={bottom} stroke="var(--ink)" strokeWidth={3} />
          <text x={layout.tableX} y={14} fontSize={14} fontWeight={700} textAnchor="middle" fill="var(--ink)">
            {say('the table')}
          </text>
          {layout.ribbons.map((ribbon) => (
            <RibbonPiece
              key={ribbon.step.key}
              ribbon={ribbon}
              fill={`url(#${prefix}-${place(ribbon.step.dishId)})`}
              colour={colour(ribbon.step.dishId)}
              chosen={ribbon.step.key === selected}
              tied={chain.has(ribbon.step.key)}
              pinned={hand !== null && isPinned(hand.pins, ribbon.step)}
              movable={hand !== null}
              faded={faded(ribbon.step.dishId)}
              table={plan}
              onSelect={onSelect}
              onPoint={setPointed}
            />
          ))}
          {wished && (
            <rect
              data-testid="wished"
              {...wished}
              rx={4}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={1.5}
              strokeDasharray="4 3"
              pointerEvents="none"
            />
          )}
          {isOnSheet(scale, present) && (
            <line
              data-testid="present"
              x1={scale.x(present)}
              x2={scale.x(present)}
              y1={TOP_LINE}
              y2={layout.height}
              stroke="var(--ember)"
              strokeWidth={2}
              strokeDasharray="6 3"
            />
          )}
        </g>
      </svg>
      <HandsAndClock plan={plan} layout={layout} width={total} present={present} />
    </>
  );
}

/** Hours as dotted lines, the days that the sheet spans, and what is folded away. */
function Grid({
  scale,
  ticks,
  bottom,
}: {
  readonly scale: TimeScale;
  readonly ticks: readonly number[];
  readonly bottom: number;
}) {
  return (
    <>
      {ticks.map((minute) => (
        <g key={minute}>
          <line
            x1={scale.x(minute)}
            x2={scale.x(minute)}
            y1={TOP_LINE}
            y2={bottom}
            stroke="var(--line)"
            strokeDasharray="1 5"
          />
        </g>
      ))}
      {scale.stretches
        .filter((stretch) => stretch.folded)
        .map((stretch) => (
          <g key={stretch.from} data-testid="fold">
            <rect
              x={stretch.x}
              y={TOP_LINE}
              width={stretch.width}
              height={bottom - TOP_LINE}
              fill="var(--soft)"
              opacity={0.6}
            />
            <text
              x={stretch.x + stretch.width / 2}
              y={TOP_LINE + 13}
              fontSize={12}
              textAnchor="middle"
              fill="var(--faint)"
            >
              {printSpan(stretch.to - stretch.from)}
            </text>
          </g>
        ))}
    </>
  );
}

/** Where a sheet spans several days, each by its name where it begins. */
function DayHeads({ scale, table }: { readonly scale: TimeScale; readonly table: TableHour }) {
  const from = scale.stretches[0]?.from ?? 0;
  const days: { readonly days: number; readonly minute: number }[] = [];
  for (let before = 0; days.length === 0 || days[0]!.minute > from; before++) {
    const midnight = minuteAt(table, -before, 0);
    days.unshift({ days: before, minute: Math.max(from, midnight) });
    if (midnight <= from) break;
  }
  if (days.length < 2) return null;
  return (
    <>
      {days.map(({ days: before, minute }) => (
        <g key={before} data-testid="day-head">
          <line x1={scale.x(minute)} x2={scale.x(minute)} y1={0} y2={TOP_LINE} stroke="var(--faint)" />
          <text x={scale.x(minute) + 5} y={13} fontSize={13} fontWeight={600} fill="var(--ink)">
            {sayDay(tableInstant(table) - before * 86_400_000, 'weekday')}
          </text>
        </g>
      ))}
    </>
  );
}

interface HandsProps {
  readonly plan: Plan;
  readonly layout: ScoreLayout;
}

/** When each person's hands are busy. */
function HandsBands({ plan, layout }: HandsProps) {
  const { scale } = layout;
  return (
    <>
      {plan.hands.map((band, index) => {
        const y = HANDS_TOP + index * HANDS;
        return (
          <g key={band.personId}>
            <title>{say('Hands of {band}', { band: band.name })}</title>
            <rect x={0} y={y} width={layout.tableX} height={15} fill="var(--soft)" />
            {band.busy.map((stretch) => (
              <rect
                key={stretch.key}
                x={scale.x(stretch.start)}
                y={y}
                width={Math.max(1.5, scale.x(stretch.end) - scale.x(stretch.start))}
                height={15}
                fill="var(--ink)"
              />
            ))}
          </g>
        );
      })}
    </>
  );
}

const HANDS_TOP = 5;
const CLOCK = 20;

/** The hands and the clock stay in sight however tall the sheet is, and their names however wide. */
function HandsAndClock({
  plan,
  layout,
  width,
  present,
}: HandsProps & { readonly width: number; readonly present: number | null }) {
  const { scale } = layout;
  const hands = HANDS_TOP + plan.hands.length * HANDS;
  const clockAtY = hands + 15;
  return (
    <div className="sticky bottom-0 z-10 bg-ground" style={{ width, height: hands + CLOCK }}>
      <div className="sticky start-0 z-10 h-0 w-0">
        <svg width={NAMES} height={hands} aria-hidden className="block bg-ground">
          {plan.hands.map((band, index) => (
            <text
              key={band.personId}
              x={0}
              y={HANDS_TOP + index * HANDS + 12}
              fontSize={14}
              fontWeight={700}
              fill="var(--ink)"
            >
              {/^you$/i.test(band.name) ? say('Your hands') : say('{band}: hands', { band: band.name })}
            </text>
          ))}
        </svg>
      </div>
      <svg
        width={width}
        height={hands + CLOCK}
        aria-label={say('The hands')}
        className="block"
        style={{ fontVariantNumeric: 'tabular-nums' }}
      >
        <g transform={`translate(${NAMES} 0)`}>
          <HandsBands plan={plan} layout={layout} />
          {isOnSheet(scale, present) && (
            <line
              x1={scale.x(present)}
              x2={scale.x(present)}
              y1={0}
              y2={hands}
              stroke="var(--ember)"
              strokeWidth={2}
              strokeDasharray="6 3"
            />
          )}
          {layout.ticks
            .filter((minute) => minute === 0 || Math.abs(scale.x(0) - scale.x(minute)) > 58)
            .map((minute) => (
              <text
                key={minute}
                aria-hidden
                x={scale.x(minute)}
                y={clockAtY}
                fontSize={13.5}
                textAnchor="middle"
                fill="var(--ink)"
                fontWeight={minute === 0 ? 700 : 400}
              >
                {clockAt(plan, minute)}
              </text>
            ))}
        </g>
      </svg>
    </div>
  );
}

/** Whether the present falls on the sheet. */
function isOnSheet(scale: TimeScale, present: number | null): present is number {
  return present !== null && present > (scale.stretches[0]?.from ?? 0) && present < 60;
}

/** The names of the rows stay in sight when the sheet is wider than the page. */
function RowNames({ layout }: { readonly layout: ScoreLayout }) {
  return (
    <div className="sticky start-0 z-10 h-0 w-0">
      <svg width={NAMES} height={layout.height} className="pointer-events-none block" aria-hidden>
        <rect width={NAMES - 8} height={layout.height} fill="var(--ground)" />
        {layout.staves.map(({ station, top, height }) => (
          <g key={station.id}>
            <line x1={0} x2={NAMES} y1={top + height} y2={top + height} stroke="var(--line)" />
            <text x={0} y={top + 32} fontSize={14} fill="var(--ink)" className="first-letter:uppercase">
              {station.name}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

const TOP_LINE = 24;

interface StretchProps {
  readonly scale: TimeScale;
  readonly stretch: { readonly from: number; readonly to: number } | null;
  readonly says: string;
  readonly colour: string;
}

/** A part of the day, under the clock: where one lays out, where all is hot at once. Left out where there is no room to name it. */
function Stretch({ scale, stretch, says, colour }: StretchProps) {
  if (!stretch) return null;
  const [from, to] = [scale.x(stretch.from), scale.x(stretch.to)];
  if (to - from < 7 * says.length) return null;
  return (
    <g data-testid={`stretch ${says}`}>
      <rect x={from} y={TOP_LINE - 2} width={to - from} height={3} fill={colour} />
      <text x={(from + to) / 2} y={TOP_LINE + 13} fontSize={12} textAnchor="middle" fill="var(--faint)">
        {says}
      </text>
    </g>
  );
}

function Waiting({
  wait,
  colour,
  faded,
  hooked,
}: {
  readonly wait: WaitLine;
  readonly colour: string;
  readonly faded: boolean;
  /** Whether to show where it comes from and goes to: only of the chosen dish, or the sheet is full of threads. */
  readonly hooked: boolean;
}) {
  const common = { stroke: colour, fill: 'none', strokeWidth: 2, strokeDasharray: '2 4', opacity: faded ? 0.15 : 0.75 };
  return (
    <g aria-hidden>
      {hooked && wait.from.y !== wait.y && (
        <path d={drop(wait.from.x, wait.from.y, wait.x1, wait.y)} {...common} opacity={0.6} />
      )}
      {wait.label && (
        <text x={wait.x1 + 2} y={wait.y + 3.5} fontSize={10.5} fill={faded ? 'var(--faint)' : colour}>
          {wait.label}
        </text>
      )}
      <line
        x1={wait.x1 + (wait.label ? waitWordsWidth(wait.label) + 4 : 0)}
        x2={wait.x2}
        y1={wait.y}
        y2={wait.y}
        {...common}
        strokeWidth={3}
      />
      {hooked && wait.to && <path d={drop(wait.x2, wait.y, wait.to.x, wait.to.y)} {...common} opacity={0.6} />}
    </g>
  );
}

/** How one thing of a dish leads to the next: of the dish that is chosen or pointed at, or the sheet is full of threads. */
function JoinLine({ join, colour }: { readonly join: Join; readonly colour: string }) {
  return (
    <path
      aria-hidden
      d={drop(join.x1, join.y1, join.x2, join.y2)}
      stroke={colour}
      strokeWidth={2}
      fill="none"
      opacity={0.8}
    />
  );
}

/** A short hook from one line of the sheet to another. */
function drop(x1: number, y1: number, x2: number, y2: number): string {
  const bend = Math.max(5, Math.abs(x2 - x1) / 2 + 4);
  return `M${x1} ${y1} C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}`;
}

interface PieceProps {
  readonly ribbon: Ribbon;
  readonly fill: string;
  readonly colour: string;
  readonly chosen: boolean;
  /** On the way of the chosen step to the table: what moves when it moves. */
  readonly tied: boolean;
  readonly pinned: boolean;
  readonly movable: boolean;
  readonly faded: boolean;
  readonly table: TableHour;
  readonly onSelect: (key: string) => void;
  /** The dish that the pointer is on; null when it leaves. */
  readonly onPoint: (dishId: string | null) => void;
}

function RibbonPiece(props: PieceProps) {
  const { ribbon, fill, colour, chosen, tied, pinned, movable, faded, table, onSelect, onPoint } = props;
  const { step, x, width, y, thickness, tailX, label } = ribbon;
  const clock = (minute: number) => clockAt(table, minute);
  const byHand = pinned ? say(', put by hand') : '';
  const back = faded && !tied;
  const words = say('{dish}: {step}, {station}, {hour} to {until}{byHand}', {
    dish: step.dishName,
    step: step.name,
    station: step.station.name,
    hour: clock(step.start),
    until: clock(step.end),
    byHand,
  });
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button element cannot stand in an SVG
    <g
      role="button"
      tabIndex={chosen ? 0 : -1}
      aria-label={words}
      aria-pressed={chosen}
      data-key={step.key}
      className={`outline-none ${movable ? 'cursor-grab active:cursor-grabbing' : 'cursor-pointer'}`}
      // A finger on the chosen ribbon moves it; anywhere else it scrolls the sheet.
      style={movable && chosen ? { touchAction: 'none' } : undefined}
      onPointerEnter={() => onPoint(step.dishId)}
      onPointerLeave={() => onPoint(null)}
      onClick={() => onSelect(step.key)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') onSelect(step.key);
      }}
    >
      <title>{words}</title>
      {/* The shape steps back; what is written stays readable. */}
      <g opacity={back ? 0.35 : 1}>
        {tailX > x + width + 2 && (
          <rect
            x={x + width}
            y={y - thickness / 4}
            width={tailX - x - width}
            height={thickness / 2}
            fill={colour}
            opacity={0.25}
          />
        )}
        <rect
          x={x}
          y={y - Math.max(13, thickness / 2)}
          width={Math.max(width, 24)}
          height={Math.max(26, thickness)}
          fill="transparent"
        />
        <rect
          x={x}
          y={y - thickness / 2}
          width={width}
          height={thickness}
          rx={Math.min(5, thickness / 2)}
          fill={fill}
          stroke={chosen || tied ? 'var(--ink)' : 'none'}
          strokeWidth={chosen ? 2.5 : 1}
        />
      </g>
      {pinned && (
        <g data-testid="pinned" aria-hidden>
          <circle cx={x + 9} cy={y} r={9} fill="var(--ground)" stroke="var(--ink)" />
          <PinMark x={x + 3} y={y - 6} width={12} height={12} stroke="var(--ink)" />
        </g>
      )}
      {label && (
        <text
          x={label.x}
          y={label.y}
          fontSize={12.5}
          fontWeight={600}
          fill={back ? 'var(--faint)' : label.inside ? 'var(--ground)' : colour}
          stroke={label.inside && !back ? colour : 'var(--ground)'}
          strokeWidth={3}
          paintOrder="stroke"
        >
          {label.text}
        </text>
      )}
    </g>
  );
}

interface LandedProps {
  readonly mark: LandingMark;
  readonly tableX: number;
  readonly edge: number;
  readonly colour: string;
  readonly faded: boolean;
  readonly table: TableHour;
  readonly odds: DishOdds | undefined;
}

function Landed({ mark, tableX, edge, colour, faded, table, odds }: LandedProps) {
  const { landing, from, y } = mark;
  const x = Math.max(tableX, edge) + 26;
  const words =
    landing.late > 0
      ? say('{span} late', { span: printSpan(landing.late) })
      : landing.waits === 0
        ? say('straight to the table')
        : say('waits {span}', { span: printSpan(landing.waits) });
  const judged = landing.fine === 'too long' ? say(', too long') : '';
  return (
    <g data-testid="landing">
      <path
        d={`M${from.x} ${from.y} C${tableX + 14} ${from.y} ${x - 22} ${y} ${x - 4} ${y}`}
        stroke={colour}
        strokeWidth={2}
        fill="none"
        opacity={faded ? 0.3 : 0.7}
      />
      <circle cx={x} cy={y} r={5} fill={colour} opacity={faded ? 0.45 : 1} />
      <text x={x + 13} y={y - 1} fontSize={14.5} fontWeight={650} fill={faded ? 'var(--faint)' : 'var(--ink)'}>
        {shorten(landing.dishName)}
      </text>
      <text
        x={x + 13}
        y={y + 16}
        fontSize={13}
        fill={landing.fine === 'late' || landing.fine === 'too long' ? 'var(--warn)' : 'var(--faint)'}
      >
        {clockAt(table, landing.ready)} · {words}
        {landing.celsius && !judged && `, ${sayCelsius(landing.celsius)}`}
        {judged}
      </text>
      {odds && landing.served !== 'cold' && (
        <Spread odds={odds} landing={landing} x={x + 13} y={y + 21} colour={colour} />
      )}
    </g>
  );
}

/** Minutes before and after its hour that a spread shows, and its width in pixels. */
const SPREAD = { before: 30, after: 20, width: 112 } as const;

interface SpreadProps {
  readonly odds: DishOdds;
  readonly landing: Landing;
  readonly x: number;
  readonly y: number;
  readonly colour: string;
}

/** Where a dish lands in a hundred evenings, against its good wait and its hour, and how often it is good. */
function Spread({ odds, landing, x, y, colour }: SpreadProps) {
  const [soon, middle, late] = odds.ready.map((minute) => minute - (landing.after ?? 0)) as [number, number, number];
  const at = (minute: number) => {
    const inside = Math.min(SPREAD.after, Math.max(-SPREAD.before, minute));
    return x + ((inside + SPREAD.before) / (SPREAD.before + SPREAD.after)) * SPREAD.width;
  };
  const often = ofTwenty(odds.good);
  return (
    <g data-testid="spread">
      <title>{saySpread(odds, landing)}</title>
      <rect
        x={at(-landing.wellMinutes)}
        width={at(ON_TIME) - at(-landing.wellMinutes)}
        y={y}
        height={8}
        fill="var(--soft)"
      />
      <line x1={x} x2={x + SPREAD.width} y1={y + 4} y2={y + 4} stroke="var(--line)" />
      <line x1={at(0)} x2={at(0)} y1={y - 1} y2={y + 9} stroke="var(--ink)" strokeWidth={1.5} />
      <rect x={at(soon)} width={Math.max(3, at(late) - at(soon))} y={y + 2} height={4} rx={2} fill={colour} />
      <circle cx={at(middle)} cy={y + 4} r={3.5} fill={colour} stroke="var(--ground)" />
      <text
        x={x + SPREAD.width + 8}
        y={y + 8}
        fontSize={12}
        fill={odds.good < RARELY_GOOD ? 'var(--warn)' : 'var(--faint)'}
      >
        {say('{often} of 20', { often })}
      </text>
    </g>
  );
}

/** Good in fewer evenings than this: shown as a warning. */
const RARELY_GOOD = 0.8;

/** "≈ 80°": to five degrees, for it is no more than likely. */
function sayCelsius({ likely }: Range): string {
  return `≈ ${Math.round(likely / 5) * 5} °C`;
}

/** A dish name that fits the landing edge; the whole name stands in the lines below and on the menu. */
function shorten(name: string): string {
  return name.length > 26 ? `${name.slice(0, 25).trimEnd()}…` : name;
}
