import { EveningsView } from '@/views/evenings/evenings-view';

export default function Page() {
  return <EveningsView />;
}
