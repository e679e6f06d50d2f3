/** A language dates can be written in, by BCP 47 tag. */
import { string } from 'yup';
import { isLanguage } from '@/core/dates/names';

export const language = string()
  .max(40)
  .test('language', '${path} is not a language known here', (tag) => tag === undefined || isLanguage(tag))
  .meta({ named: 'language', json: { pattern: '^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$' } });
