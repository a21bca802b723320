import { DishesView } from '@/views/dishes/dishes-view';

export default function Page() {
  return <DishesView />;
}
