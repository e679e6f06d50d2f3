import { expect, test } from '@jest/globals';
import { render, screen, waitFor } from '@testing-library/react';
import { drawn } from '@/features/shared/drawn';
import { StillDrawn } from '@/features/shared/StillDrawn';

test('of what lies drawn nothing is said, though something else is still on its way', async () => {
  let ready = false;
  globalThis.fetch = (async (at) =>
    new Response('[]', { status: ready || at !== '/demo/projects.json' ? 200 : 503 })) as typeof fetch;
  render(
    <>
      <StillDrawn at="/house/papers.json" what="Papers are" />
      <StillDrawn at="/demo/projects.json" what="Pages are" />
    </>,
  );
  const pages = drawn('/demo/projects.json', (list) => list);
  await drawn('/house/papers.json', (list) => list);
  const says = () => screen.queryAllByRole('status').map((one) => one.textContent);
  await waitFor(() =>
    expect(says()).toEqual(['Pages are still being drawn, this once. They come by themselves.']),
  );
  ready = true;
  expect(await pages).toEqual([]);
  await waitFor(() => expect(says()).toEqual([]));
});
