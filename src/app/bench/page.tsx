import { BenchView } from '@/views/bench/bench-view';

export default function Page() {
  return <BenchView />;
}
