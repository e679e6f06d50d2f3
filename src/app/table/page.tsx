import { Suspense } from 'react';
import { LayingOut } from '@/features/table/LayingOut';
import { Table } from '@/features/table/Table';

/** Which project it is, the browser knows: kept without a network, the page is the same for all of them. */
export default function TablePage() {
  return (
    <Suspense fallback={<LayingOut />}>
      <Table />
    </Suspense>
  );
}
