import { PrepView } from '@/views/prep/prep-view';

export default function Page() {
  return <PrepView />;
}
