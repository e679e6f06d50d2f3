'use client';
/** The table with the project that the address names. */
import { useSearchParams } from 'next/navigation';
import { TableRoom } from '@/features/table/TableRoom';

export function Table() {
  const id = useSearchParams().get('project') ?? '';
  return <TableRoom key={id} id={id} />;
}
