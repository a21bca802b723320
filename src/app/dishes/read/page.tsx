import { Suspense } from 'react';
import { ReadView } from '@/views/dishes/read-view';

export default function Page() {
  return (
    <Suspense>
      <ReadView />
    </Suspense>
  );
}
