/** What is typed finds what is meant. */
import { type Kit, type Supply } from '@/core/supplies/model';
import { SupplySearch } from '@/core/supplies/search';
import { supplyOf } from '../../../scripts/testing/samples';

const kit = (id: string, name: string, tags: string[] = []): Kit => ({
  id,
  name,
  tags,
  description: '',
  author: '',
  licence: '',
  added: 0,
  house: false,
});
let count = 0;
const supply = (name: string, more: Partial<Supply> = {}): Supply =>
  supplyOf(name, { id: `s${(count += 1)}`, kit: 'a', order: count, ...more });

const kits = new Map([
  ['a', kit('a', 'Windward', ['seaside'])],
  ['b', kit('b', 'Garden Year')],
]);
const feather = supply('Grey feather', { tags: ['light'] });
const kites = supply('Kites aloft', { kind: 'paper', tags: ['wind'], colours: ['#3f8f8a'] });
const kite = supply('Kite', { tags: ['sky'] });
const kitten = supply('Kitten', { kit: 'b' });
const berries = supply('Berries', { kit: 'b', tags: ['red', 'round'], colours: ['#a92f3f'] });
const search = new SupplySearch([feather, kites, kite, kitten, berries], kits, () => 1e9);
const names = (
  words: string,
  ...rest: Parameters<SupplySearch['find']> extends [string, ...infer R] ? R : never
) => search.find(words, ...rest).map(({ name }) => name);

test('the beginning of a word is enough, before the word is done', () => {
  expect(names('feath')).toEqual(['Grey feather']);
  expect(names('kit').slice(0, 3).sort()).toEqual(['Kite', 'Kites aloft', 'Kitten']);
  expect(names('kite')).toEqual(expect.arrayContaining(['Kite', 'Kites aloft']));
  expect(names('kite')).not.toContain('Kitten');
});
test('the name that is just the word comes first', () => {
  expect(names('kite')[0]).toBe('Kite');
  expect(names('kit')[0]).toBe('Kite');
});
test('several words narrow; a kit’s tag finds what is in it; a colour is a word', () => {
  expect(names('seaside kite').sort()).toEqual(['Kite', 'Kites aloft']);
  expect(names('teal')).toEqual(['Kites aloft']);
  expect(names('paper wind')).toEqual(['Kites aloft']);
});
test('plurals are the same word, and a small slip in a long one is forgiven', () => {
  expect(names('berry')).toEqual(['Berries']);
  expect(names('feathers')).toEqual(['Grey feather']);
  expect(names('fethers')).toEqual(['Grey feather']);
  expect(names('kyte')).toEqual([]);
});
test('favourites and what was used lately come before their equals', () => {
  const plain = supply('Button');
  const liked = supply('Button', { favourite: true });
  const lately = supply('Button', { used: 1e9 - 1000 });
  const found = new SupplySearch([plain, lately, liked], kits, () => 1e9).find('button');
  expect(found.map(({ id }) => id)).toEqual([liked.id, lately.id, plain.id]);
});
test('filters: kind, kit, colour, use', () => {
  expect(names('', { kinds: ['paper'] })).toEqual(['Kites aloft']);
  expect(names('', { kit: 'b' })).toEqual(['Kitten', 'Berries']);
  expect(names('', { colour: 'red' })).toEqual(['Berries']);
  expect(names('', { used: true }, ({ name }) => name === 'Kite')).toEqual(['Kite']);
});
test('what is changed or taken away is found as it is now', () => {
  const one = new SupplySearch([kite], kits, () => 0);
  one.update({ ...kite, tags: ['diamond'] }, kits.get('a'));
  expect(one.find('diam')).toHaveLength(1);
  one.remove(kite.id);
  expect(one.find('kite')).toHaveLength(0);
});
// Thirty everyday words as a person types them, and the name that is meant.
test.each(
  (
    'wave/Waves waves/Wave leaf/Leaves leaves/Leaf berry/Berries box/Boxes boxes/Box sail/Sailing sailing/Sails ' +
    'happy/Happiness celebrate/Celebration celebrating/Celebrate friend/Friends gardens/Gardening bake/Baking ' +
    'baked/Bake snow/Snowy snowflakes/Snowflake love/Loved loved/Loving stitch/Stitched stitches/Stitch ' +
    'dance/Dancing party/Parties baby/Babies glasses/Glass strasse/Straße straße/Strasse cafe/Café café/Cafe ' +
    'noel/Noël blutenstrauss/Blütenstrauß'
  )
    .split(' ')
    .map((pair) => pair.split('/') as [string, string]),
)('“%s” finds %s', (typed, name) => {
  const search = new SupplySearch([supply(name), supply('Tape measure')], kits, () => 0);
  expect(search.find(typed).map((one) => one.name)).toEqual([name]);
});
