import { CupboardRoom } from '@/features/cupboard/CupboardRoom';

export default function CupboardPage() {
  return <CupboardRoom />;
}
