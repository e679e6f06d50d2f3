/** What browsers keep of files that were fetched, in memory (Service Workers, W3C): as much of it as is used. */
export class Shelves {
  private readonly shelves = new Map<string, Map<string, Response>>();

  async open(name: string) {
    const lies = this.shelves.get(name) ?? new Map<string, Response>();
    this.shelves.set(name, lies);
    const at = (asked: string | { url: string }) =>
      new URL(typeof asked === 'string' ? asked : asked.url, 'http://localhost').href;
    return {
      match: async (asked: string) => lies.get(at(asked))?.clone(),
      put: async (asked: string, answer: Response) => void lies.set(at(asked), answer),
      delete: async (asked: { url: string }) => lies.delete(at(asked)),
      keys: async () => [...lies.keys()].map((url) => ({ url })),
      /** All of them or none. */
      async addAll(all: readonly { url: string }[]) {
        const came = await Promise.all(
          all.map(async (each) => [each, await fetch(new URL(each.url).pathname)] as const),
        );
        if (came.some(([, { ok }]) => !ok)) throw new TypeError('Request failed');
        for (const [each, answer] of came) lies.set(at(each), answer);
      },
    };
  }

  async delete(name: string): Promise<boolean> {
    return this.shelves.delete(name);
  }

  /** What lies on one, by the paths it was asked for. */
  on(name: string): string[] {
    return [...(this.shelves.get(name)?.keys() ?? [])].map((url) => new URL(url).pathname).sort();
  }
}
