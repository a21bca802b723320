import { Suspense } from 'react';
import { NewKitchenView } from '@/views/kitchen/new-kitchen-view';

export default function Page() {
  return (
    <Suspense>
      <NewKitchenView />
    </Suspense>
  );
}
