import { answer } from '@/server/answer';

export const runtime = 'nodejs';

/** A meal file in, a plan out; 422 with sentences when the meal cannot be planned. */
export function POST(request: Request): Promise<Response> {
  return answer(request, 'plan');
}
