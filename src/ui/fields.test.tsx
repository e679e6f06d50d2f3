/** Fields as they are typed in: taken on Enter and on leaving, given up by Escape, refused in words; never lost, never given to another. */
import { expect, jest, test } from '@jest/globals';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { formatLength, parseMeasure } from '@/core/units/lengths';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { RowSlider } from '@/ui/RowSlider';
import { TextOnLeaving } from '@/ui/TextOnLeaving';
import { FieldsAbout } from '@/ui/useTyped';

/** A length of the piece of this name, in inches, as a panel shows it. */
const Width = ({
  of,
  lengths,
  onCommit,
}: {
  of: string;
  lengths: Record<string, number>;
  onCommit: Commit;
}) => (
  <FieldsAbout value={of}>
    <LengthField
      label="Width"
      unit="in"
      shown={formatLength(lengths[of]!, 'in')}
      read={(text) => parseMeasure(text, 'in')}
      onCommit={(length) => onCommit(of, length)}
    />
  </FieldsAbout>
);
type Commit = (of: string, length: number) => void;

/** Two pieces, one of them shown. */
function pieces() {
  const told: [string, number][] = [];
  const turn = { to: (_: string | null) => {} };
  function Panel() {
    const [of, setOf] = useState<string | null>('kite');
    const [lengths, setLengths] = useState<Record<string, number>>({ kite: 72, boat: 144 });
    useEffect(() => void (turn.to = setOf), []);
    const onCommit: Commit = (name, length) => {
      told.push([name, length]);
      setLengths((now) => ({ ...now, [name]: length }));
    };
    return of && <Width {...{ of, lengths, onCommit }} />;
  }
  render(<Panel />);
  const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Width' });
  return {
    told,
    field,
    show: (name: string) => act(() => turn.to(name)),
    hide: () => act(() => turn.to(null)),
    type: (value: string) => fireEvent.change(field(), { target: { value } }),
    key: (key: string) => fireEvent.keyDown(field(), { key }),
    leave: () => fireEvent.blur(field()),
  };
}

test('what is typed is taken on Enter and on leaving, arithmetic and other units too; what it is already is no change', () => {
  const { told, field, type, key, leave } = pieces();
  expect(field().value).toBe('1');
  type('1 1/2 + 0.25');
  expect(told).toEqual([]);
  key('Enter');
  expect([told, field().value]).toEqual([[['kite', 126]], '1.75']);
  type('5.08 cm');
  leave();
  expect(told.at(-1)).toEqual(['kite', expect.closeTo(144, 6)]);
  expect(field().value).toBe('2');
  type(' 2 ');
  key('Enter');
  leave();
  expect(told).toHaveLength(2);
});

test('Escape gives up what was typed; what cannot be read is said beneath, changes nothing, and may be put right', () => {
  const { told, field, type, key, leave } = pieces();
  type('9');
  key('Escape');
  leave();
  expect([told, field().value]).toEqual([[], '1']);
  type('wide');
  leave();
  const problem = field().getAttribute('aria-describedby')!;
  expect(document.getElementById(problem)!.textContent).not.toBe('');
  expect([told, field().value, field().getAttribute('aria-invalid')]).toEqual([[], 'wide', 'true']);
  type('3');
  expect(field().getAttribute('aria-invalid')).toBe('false');
  key('Enter');
  expect(told).toEqual([['kite', 216]]);
});

test('typed for one piece, it is that one’s, though another is shown by the time the field is left', () => {
  const { told, field, type, show, leave } = pieces();
  type('4');
  show('boat');
  expect(field().value).toBe('2');
  leave();
  expect(told).toEqual([['kite', 288]]);
  expect(field().value).toBe('2');
  show('kite');
  expect(field().value).toBe('4');
});

test('what was refused of one is shown of no other; a field that goes while it is typed in loses nothing', () => {
  const { told, field, type, show, hide, leave } = pieces();
  type('wide');
  leave();
  show('boat');
  expect([field().value, field().getAttribute('aria-invalid')]).toEqual(['2', 'false']);
  show('kite');
  expect([field().value, field().getAttribute('aria-invalid')]).toEqual(['1', 'false']);
  type('3');
  hide();
  expect(told).toEqual([['kite', 216]]);
});

test('words are taken trimmed, on Enter where they are one line; in several lines Enter is a line', () => {
  const onCommit = jest.fn();
  const shown = render(<TextOnLeaving label="Name" value="Kite" longest={40} onCommit={onCommit} />);
  // Beside a field of several lines another lies unseen, without a name, that measures it.
  const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: /Name|Caption/ });
  const type = (value: string) => fireEvent.change(field(), { target: { value } });
  type('  Red kite ');
  fireEvent.keyDown(field(), { key: 'Enter' });
  type('Kite  ');
  fireEvent.blur(field());
  expect(onCommit.mock.calls).toEqual([['Red kite']]);
  expect(field().maxLength).toBe(40);
  shown.rerender(
    <TextOnLeaving label="Caption" value="" longest={40} lines hint="say it" onCommit={onCommit} />,
  );
  type('First\nsecond');
  fireEvent.keyDown(field(), { key: 'Enter' });
  expect(onCommit).toHaveBeenCalledTimes(1);
  fireEvent.blur(field());
  expect(onCommit.mock.lastCall).toEqual(['First\nsecond']);
});

test('a slider says its value in words and stays within its ends; a list tells what was chosen of it', async () => {
  const onChange = jest.fn();
  const onChoose = jest.fn<(value: number | string) => void>();
  render(
    <>
      <RowSlider
        label="Leaning"
        least={-45}
        most={45}
        value={12.34}
        spoken={(value) => `${value} degrees`}
        onChange={onChange}
      />
      <Chosen
        label="Which mix"
        value={1}
        all={[
          [0, 'First'],
          [1, 'Second'],
        ]}
        disabled={false}
        onChoose={onChoose}
      />
    </>,
  );
  const slider = screen.getByRole('slider', { name: 'Leaning' });
  expect(slider.getAttribute('aria-valuetext')).toBe('12.34 degrees');
  screen.getByText('12.3');
  fireEvent.keyDown(slider, { key: 'End' });
  expect(onChange.mock.lastCall).toEqual([45]);
  fireEvent.keyDown(slider, { key: 'Home' });
  expect(onChange.mock.lastCall).toEqual([-45]);
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Which mix' }));
  fireEvent.click(await screen.findByRole('option', { name: 'First' }));
  expect(onChoose.mock.calls).toEqual([[0]]);
});
