import { CupboardRoom } from './CupboardRoom';

export default function CupboardPage() {
  return <CupboardRoom />;
}
