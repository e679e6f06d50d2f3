import { Table } from './Table';

/** Which project it is, the browser knows: kept without a network, the page is the same for all of them. */
export default function TablePage() {
  return <Table />;
}
