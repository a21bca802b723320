import { ScoreView } from '@/views/score/score-view';

export default function Page() {
  return <ScoreView />;
}
