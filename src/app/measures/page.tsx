import { MeasuresView } from '@/views/measures/measures-view';

export default function Page() {
  return <MeasuresView />;
}
