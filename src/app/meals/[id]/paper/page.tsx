import { PaperView } from '@/views/paper/paper-view';

export default function Page() {
  return <PaperView />;
}
