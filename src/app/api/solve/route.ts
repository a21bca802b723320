import { readProblem } from '@/core/formats/problem-file';
import { solve } from '@/core/schedule/solve';
import { answer, optionsShape } from '@/server/answer';

export const runtime = 'nodejs';

/** A problem in, a solution out, as on the command line. */
export function POST(request: Request): Promise<Response> {
  return answer(request, optionsShape, readProblem, async (problem, { signal, options, ...tools }) => ({
    status: 200,
    body: await solve(problem, { ...options, ...tools }, undefined, signal),
  }));
}
