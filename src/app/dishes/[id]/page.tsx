import { DishView } from '@/views/dishes/dish-view';

export default async function Page({ params }: PageProps<'/dishes/[id]'>) {
  const { id } = await params;
  return <DishView id={decodeURIComponent(id)} />;
}
