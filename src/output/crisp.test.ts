/** Edges at an angle: what each pixel shows, against the area of the outline in it. */
import { making } from '../../scripts/testing/making';
import { allowedError, crispPage, edgeErrors } from '../../scripts/testing/crisp';

const { register, made } = making();

test('an edge at an angle covers of each pixel what its outline covers, and nothing shines through between', async () => {
  const page = crispPage(register);
  const errors = await edgeErrors(await made(page, { format: 'png', ppi: 96 }, 'crisp.png'), page, 96);
  expect([...errors].filter(([name, error]) => error > allowedError(name))).toEqual([]);
  expect(errors.size).toBe(48);
});
