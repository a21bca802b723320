import { LayOutView } from '@/views/prep/lay-out-view';

export default function Page() {
  return <LayOutView />;
}
