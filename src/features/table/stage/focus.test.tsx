import { expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { focusPart } from '@/features/table/stage/focus';

test('from part to part and round again, past a part in which nothing takes the focus', () => {
  render(
    <>
      <div data-part="top">
        <button type="button">Undo</button>
      </div>
      <button type="button" data-part="page" tabIndex={0}>
        Page
      </button>
      <div data-part="pile">
        <button type="button" disabled>
          Not yet
        </button>
      </div>
      <div data-part="box">
        <button type="button">Cupboard</button>
      </div>
    </>,
  );
  screen.getByRole('button', { name: 'Page' }).focus();
  const walked = [1, 1, 1, -1, -1].map((by) => {
    focusPart(by as 1 | -1);
    return document.activeElement!.textContent;
  });
  expect(walked).toEqual(['Cupboard', 'Undo', 'Page', 'Undo', 'Cupboard']);
});
