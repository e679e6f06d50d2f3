import { expect, test } from '@jest/globals';
import { PRACTICE, PRACTICE_IDS, practised } from '@/core/practice/steps';
import type { Piece } from '@/core/piece/piece';
import { NEW_MAT } from '@/core/piece/finish/mats';
import type { Project } from '@/core/project/model';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 900, 600);
const on = (...pieces: Piece[]): Project => ({ ...laid(pieces, [asset]), practice: true });
const done = (project: Project): string[] => PRACTICE_IDS.filter((_, i) => practised(project)![i]);

test('each step is noticed by what lies on the page, and no sooner; a page that is no practice is left alone', () => {
  const photo = photoOf('p', asset, { x: 40, y: 40, width: 120, height: 80 });
  const turned: Piece = { ...photo, placement: { ...photo.placement, turn: -4 } };
  const matted: Piece = { ...photo, finish: { ...photo.finish, mats: [NEW_MAT] } };
  const punched: Piece = { ...photo, outline: { kind: 'punch', punch: 'heart', settings: {} } };
  const beside = inkPiece('i', 5000);
  const beneath: Piece = { ...inkPiece('i'), placement: { ...photo.placement } };
  expect(done(on())).toEqual([]);
  expect(done(on(photo))).toEqual(['photo']);
  expect(done(on(turned))).toEqual(['photo', 'turn']);
  expect(done(on(matted))).toEqual(['photo', 'mat']);
  expect(done(on(beneath, photo))).toEqual(['photo', 'mat']);
  // What lies over it, or beside it, is no mat.
  expect(done(on(photo, beneath))).toEqual(['photo']);
  expect(done(on(beside, photo))).toEqual(['photo']);
  expect(done(on(punched))).toEqual(['photo', 'cut']);
  expect(done(on(wordsOf('w', 'Ki')))).toEqual([]);
  expect(done(on({ ...wordsOf('w', 'Kites'), role: 'title' }))).toEqual(['title']);
  expect(PRACTICE.map(({ id }) => id)).toEqual([...PRACTICE_IDS]);
  expect(practised(laid([photo], [asset]))).toBeNull();
});
