'use client';

import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import { say } from '@/core/say/say';
import { useTitle } from '@/ui/title';
import { FitsThePot } from './fits-the-pot';
import { FromDish } from './from-dish';
import { GrainAndLiquid, StockLeft } from './grain-and-liquid';
import { StaysHot } from './stays-hot';
import { ToTheBoil } from './to-the-boil';
import { Units } from './units';

const questions = () =>
  [
    [say('grain & liquid'), GrainAndLiquid],
    [say('stock left'), StockLeft],
    [say('to the boil'), ToTheBoil],
    [say('fits the pot'), FitsThePot],
    [say('stays hot'), StaysHot],
    [say('units'), Units],
  ] as const;

/** The kitchen's arithmetic by itself, for the moment at the stove: large, without typing, answering as one moves. */
export function BenchView() {
  useTitle('Bench');
  return (
    <TabGroup className="mt-1">
      <div className="flex flex-wrap items-end justify-between gap-x-8">
        <h1 className="text-3xl">{say('Bench')}</h1>
        <TabList aria-label={say('Questions')} className="flex flex-wrap gap-1">
          {questions().map(([name]) => (
            <Tab
              key={name}
              className="min-h-12 px-4 py-2 text-lg text-faint data-selected:border-b-3 data-selected:border-ember data-selected:font-bold data-selected:text-ink"
            >
              {name}
            </Tab>
          ))}
        </TabList>
      </div>
      <FromDish>
        <TabPanels className="mt-6">
          {questions().map(([name, Question]) => (
            <TabPanel key={name}>
              <Question />
            </TabPanel>
          ))}
        </TabPanels>
      </FromDish>
    </TabGroup>
  );
}
