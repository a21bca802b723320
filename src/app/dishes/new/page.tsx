import { Suspense } from 'react';
import { NewDishView } from '@/views/dishes/new-dish-view';

export default function Page() {
  return (
    <Suspense>
      <NewDishView />
    </Suspense>
  );
}
