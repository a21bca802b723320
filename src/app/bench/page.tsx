import { Suspense } from 'react';
import { BenchView } from '@/views/bench/bench-view';

export default function Page() {
  return (
    <Suspense>
      <BenchView />
    </Suspense>
  );
}
