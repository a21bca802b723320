import { answer } from '@/server/answer';

export const runtime = 'nodejs';

/** A problem in, a solution out, as on the command line. */
export function POST(request: Request): Promise<Response> {
  return answer(request, 'solve');
}
