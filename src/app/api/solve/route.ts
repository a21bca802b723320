import { readProblem } from '@/core/formats/problem-file';
import { solve } from '@/core/schedule/solve';
import { answer } from '@/server/answer';

export const runtime = 'nodejs';

/** A problem in, a solution out, as on the command line. */
export function POST(request: Request): Promise<Response> {
  return answer(request, readProblem, async (problem, { signal, ...tools }) => ({
    status: 200,
    body: await solve(problem, tools, undefined, signal),
  }));
}
