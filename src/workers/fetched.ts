/** Files that ship with the app, asked for beside the page. */
export async function bytesAt(address: string): Promise<Uint8Array> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`${address} could not be fetched (${answer.status})`);
  return new Uint8Array(await answer.arrayBuffer());
}
