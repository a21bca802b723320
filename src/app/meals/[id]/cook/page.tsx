import { CookView } from '@/views/cook/cook-view';

export default function Page() {
  return <CookView />;
}
