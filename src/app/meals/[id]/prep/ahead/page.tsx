import { AheadView } from '@/views/prep/ahead-view';

export default function Page() {
  return <AheadView />;
}
