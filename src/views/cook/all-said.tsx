import type { LiveStep } from '@/core/live/session';

/** The words of a step with what goes in and what to mind. */
export function AllSaid({ step }: { readonly step: LiveStep['step'] }) {
  return (
    <>
      {step.says && <span className="block text-lg">{step.says}</span>}
      {step.amounts.length > 0 && <span className="block text-lg">{step.amounts.join(' · ')}</span>}
      {step.cautions.map((caution) => (
        <span key={caution} className="mt-1 block border-s-4 border-ember ps-3 text-lg">
          {caution}
        </span>
      ))}
    </>
  );
}
