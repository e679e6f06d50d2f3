/** The languages dates can be written in, for one to choose from. */
import { capital, isLanguage } from '@/core/dates/names';

/** Variants in which months or weeks are otherwise. */
const VARIANTS = ['en-GB', 'en-US', 'de-AT', 'pt-BR', 'es-MX', 'fr-CA', 'ar-EG', 'zh-Hant'];
let languages: readonly { tag: string; name: string }[] | undefined;

/** Every language Intl has months for, each called as it calls itself. */
export function languagesOfDates(): readonly { tag: string; name: string }[] {
  if (languages) return languages;
  const letters = [...'abcdefghijklmnopqrstuvwxyz'];
  const tags = letters
    .flatMap((a) => letters.map((b) => a + b))
    .filter((tag) => tag !== 'en' && isLanguage(tag));
  // Some codes are old spellings of others (ISO 639).
  const canonical = new Set([...tags, ...VARIANTS].flatMap((tag) => Intl.getCanonicalLocales(tag)));
  return (languages = [...canonical]
    .map((tag) => ({ tag, name: selfName(tag) }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en')));
}

function selfName(tag: string): string {
  const name = new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag;
  return capital(name, tag);
}
