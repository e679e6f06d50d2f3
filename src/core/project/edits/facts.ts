/** Edits of what is known of a project, which living words say. */
import type { Fact } from '@/core/living/field';
import type { Edit } from '@/core/project/edits/edit';

export const MOST_FACTS = 60;
export const LONGEST_FACT_NAME = 60;
export const LONGEST_FACT = 400;

/** Puts a fact in the place of the one with its id, or at the end. */
export const setFact = (fact: Fact): Edit => ({
  label: `change ${fact.name || 'what is known'}`,
  merge: `fact ${fact.id}`,
  apply(project) {
    const facts = (project.facts ??= []);
    const at = facts.findIndex(({ id }) => id === fact.id);
    facts.splice(at < 0 ? facts.length : at, at < 0 ? 0 : 1, { ...fact });
  },
});

/** Forgets a fact: words that said it stay as they are, and live no more. */
export const forgetFact = ({ id, name }: Pick<Fact, 'id' | 'name'>): Edit => ({
  label: `forget ${name}`,
  apply(project) {
    const left = project.facts?.filter((fact) => fact.id !== id) ?? [];
    if (left.length) project.facts = left;
    else delete project.facts;
  },
});
