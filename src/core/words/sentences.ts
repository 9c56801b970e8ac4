import { sketchSentences } from '../arrange/sketchSentences';
import type { Finding, SentenceLocale } from '../kernel/finding';
import { inputSentences } from '../kernel/inputSentences';
import { sayerOf } from '../kernel/sayerOf';
import { optionSentences } from '../plan/optionSentences';
import { priceSentences } from '../pricing/priceSentences';
import { recipeSentences } from '../recipe/recipeSentences';
import { safetyRules } from '../safety/cautions';

/** Every area's sentences; each stands with the findings that it is about. */
const areas = [inputSentences, priceSentences, recipeSentences, optionSentences, sketchSentences];

const say = sayerOf(areas);

/** Codes that have a sentence, without cautions. */
export const sentenceCodes: readonly string[] = [...new Set(areas.flatMap((area) => Object.keys(area)))];

/**
 * A finding in English; cautions bring their own text from their rule. An unknown code (from a newer file) is shown as
 * the code itself, never hidden.
 * @param locale units and currency in which its figures are told
 */
export function sentenceFor(finding: Finding, locale: SentenceLocale): string {
  if (finding.code.startsWith('caution.')) {
    const rule = safetyRules.find(finding.code.slice('caution.'.length));
    if (rule) return rule.instead ? `${rule.text} ${rule.instead}` : rule.text;
  }
  return say(finding, locale) ?? finding.code;
}
