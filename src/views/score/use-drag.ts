'use client';

import { type PointerEvent, type RefObject, useEffect, useRef, useState } from 'react';
import type { Pin } from '@/core/meal/pin';
import type { PlannedStep } from '@/core/plan/plan';
import type { ScoreLayout } from './layout';

/** Pixels before a press becomes a drag: a shaky click moves nothing. */
const THRESHOLD = 4;

/** A step in the hand. The sheet stays as it was when the step was taken, or it would run from under the pointer. */
export interface Drag {
  readonly step: PlannedStep;
  readonly from: { readonly x: number; readonly y: number };
  readonly layout: Pick<ScoreLayout, 'scale' | 'staves'>;
  /** Null until the pointer has gone far enough. */
  readonly wish: Pin | null;
}

interface DragOptions {
  /** Pixels of the names before the scale begins. */
  readonly left: number;
  /** The sheet as it is drawn. */
  readonly drawn: RefObject<ScoreLayout | null>;
  /** Null when nothing can be moved. */
  readonly onTake: ((key: string) => void) | null;
  readonly onLook: (pin: Pin) => void;
  readonly onDrop: (pin: Pin) => void;
  readonly onGiveUp: () => void;
}

/** Dragging a ribbon with the pointer: along the clock, and to another stave where the step may stand there. */
export function useDrag({ left, drawn, onTake, onLook, onDrop, onGiveUp }: DragOptions) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const moving = drag !== null && drag.wish !== null;
  const giveUp = useRef(onGiveUp);
  giveUp.current = onGiveUp;

  useEffect(() => {
    if (!moving) return;
    const listen = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      event.stopPropagation();
      setDrag(null);
      giveUp.current();
    };
    document.addEventListener('keydown', listen, true);
    return () => document.removeEventListener('keydown', listen, true);
  }, [moving]);

  const placeIn = (event: PointerEvent<SVGSVGElement>) => {
    const sheet = event.currentTarget;
    const box = sheet.getBoundingClientRect();
    // With larger letters the sheet is drawn larger than it is reckoned.
    const scale = sheet.width.baseVal.value / box.width;
    return { x: (event.clientX - box.left) * scale - left, y: (event.clientY - box.top) * scale };
  };

  const handlers = {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      const key = (event.target as Element).closest('[data-key]')?.getAttribute('data-key');
      const layout = drawn.current;
      const step = layout?.ribbons.find((ribbon) => ribbon.step.key === key)?.step;
      if (event.button !== 0 || onTake === null || !layout || !step) return;
      setDrag({ step, from: placeIn(event), layout, wish: null });
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      if (!drag) return;
      const here = placeIn(event);
      const far = Math.hypot(here.x - drag.from.x, here.y - drag.from.y);
      if (drag.wish === null) {
        if (far < THRESHOLD) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        onTake?.(drag.step.key);
      }
      const wish = wishAt(drag, here);
      if (drag.wish && drag.wish.start === wish.start && drag.wish.unit === wish.unit) return;
      setDrag({ ...drag, wish });
      onLook(wish);
    },
    onPointerUp: () => {
      if (drag?.wish) onDrop(drag.wish);
      setDrag(null);
    },
    onPointerCancel: () => {
      if (drag?.wish) onGiveUp();
      setDrag(null);
    },
  };
  return { drag, handlers };
}

/** Where a step is wished when the pointer that took it at `drag.from` is at `here`. */
export function wishAt(drag: Omit<Drag, 'wish'>, here: { readonly x: number; readonly y: number }): Pin {
  const { step } = drag;
  const { scale, staves } = drag.layout;
  const start = Math.round(scale.minute(scale.x(step.start) + here.x - drag.from.x));
  const stave = staves.find(({ top, height }) => here.y >= top && here.y < top + height);
  const unit = stave?.station.id;
  const elsewhere = unit !== undefined && unit !== step.station.id && step.choices.includes(unit);
  return elsewhere ? { key: step.key, start, unit } : { key: step.key, start };
}
