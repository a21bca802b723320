import { EveningView } from '@/views/evenings/evening-view';

export default async function Page({ params }: PageProps<'/evenings/[id]'>) {
  return <EveningView id={decodeURIComponent((await params).id)} />;
}
