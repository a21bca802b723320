import { KitchenView } from '@/views/kitchen/kitchen-view';

export default async function Page({ params }: PageProps<'/kitchens/[id]'>) {
  const { id } = await params;
  return <KitchenView id={decodeURIComponent(id)} />;
}
