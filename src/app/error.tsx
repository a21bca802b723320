'use client';

import { Broken } from '@/views/shell/broken';

export default function PageError({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return <Broken error={error} onAgain={reset} />;
}
