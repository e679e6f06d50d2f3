/** The sheet of this task, fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const PROOF_SHEETS = {
  proof: fetched('Proof', () => import('@/features/table/tasks/proof/ProofSheet').then((m) => m.ProofSheet)),
};
