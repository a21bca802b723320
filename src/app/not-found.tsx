import { Nowhere } from '@/views/shell/broken';

export default function NotFound() {
  return <Nowhere />;
}
