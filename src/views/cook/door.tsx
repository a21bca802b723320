'use client';

import { useMemo, useState } from 'react';
import { doorIdeas } from '@/core/live/at-the-door';
import type { Evening } from '@/core/live/evening';
import { say } from '@/core/say/say';
import { Choice, Sheet } from './sheet';
import { useOutcomes } from './use-outcomes';
import type { Telling } from './use-session';

interface DoorProps {
  readonly session: Evening;
  readonly more: number;
  readonly told: Pick<Telling, 'take'>;
  readonly onClose: () => void;
}

/** More (or fewer) at the table than the meal is cooked for: how they are fed, each way planned. */
export function Door({ session, more, told, onClose }: DoorProps) {
  const [at] = useState(() => Date.now());
  const ideas = useMemo(() => doorIdeas(session, more, at), [session, more, at]);
  const leadsTo = useOutcomes(session, ideas);
  const words =
    more > 0 ? say('{more} more at the table', { more }) : say('{more} fewer at the table', { more: -more });
  return (
    <Sheet title={words} onClose={onClose}>
      <ul aria-label={say('How they are fed')} className="mt-3">
        {ideas.map((idea, index) => (
          <Choice
            key={idea.id}
            says={idea.says}
            how={idea.how}
            leadsTo={leadsTo(idea.id)}
            strong={index === 0}
            onPress={() => {
              told.take({ says: `${words}: ${idea.says}`, does: idea.does });
              onClose();
            }}
          />
        ))}
      </ul>
    </Sheet>
  );
}
