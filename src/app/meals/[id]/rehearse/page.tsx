import { RehearseView } from '@/views/rehearse/rehearse-view';

export default function Page() {
  return <RehearseView />;
}
