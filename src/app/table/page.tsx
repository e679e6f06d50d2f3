import { TableRoom } from '@/features/table/TableRoom';

export default async function TablePage({ searchParams }: { searchParams: Promise<{ project?: string }> }) {
  const { project } = await searchParams;
  return <TableRoom key={project} id={project ?? ''} />;
}
