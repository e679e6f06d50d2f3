/** Sentiments a person wrote into the collection. */
import { array, object, string } from 'yup';
import { OCCASIONS, type Occasion, type Sentiment } from '@/core/sentiments/collection';
import { database } from '@/storage/database';

const KEY = 'sentiments';
export const LONGEST_SENTIMENT = 600;
export const MOST_SENTIMENTS = 2000;

const schema = array(
  object({
    id: string().min(1).max(80).required(),
    occasion: string()
      .oneOf(Object.keys(OCCASIONS) as Occasion[])
      .required(),
    text: string().min(1).max(LONGEST_SENTIMENT).required(),
  }).noUnknown(),
).max(MOST_SENTIMENTS);

export async function ownSentiments(): Promise<Sentiment[]> {
  const kept = (await database.settings.get(KEY))?.value;
  return schema.isValidSync(kept, { strict: true }) ? ((kept ?? []) as Sentiment[]) : [];
}

/** Changes them as they are by then, whatever another tab did meanwhile; answers with what there is now. */
export const changeSentiments = (to: (now: Sentiment[]) => Sentiment[]): Promise<Sentiment[]> =>
  database.transaction('rw', database.settings, async () => {
    const next = schema.validateSync(to(await ownSentiments()), { strict: true }) as Sentiment[];
    await database.settings.put({ key: KEY, value: next });
    return next;
  });
