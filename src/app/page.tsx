import { MealsView } from '@/views/meals/meals-view';

export default function Page() {
  return <MealsView />;
}
