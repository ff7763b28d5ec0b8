import type { Dirt } from '../compatibility';

/* Words that name what stands on a place, the more telling first. */
export const DIRT_WORDS: ReadonlyArray<readonly [RegExp, Dirt]> = [
  [
    /\b(?:dried(?:[- ]up)?|hard(?:ened)?|old|caked|gummy|gummed|waxy|stiff|thick)(?:,? \w+)? (?:grease|lubricant)\b|\bgrease (?:is |has )?(?:dried|hard|hardened|caked|gone hard|gummed|gone)\b|\bgummed(?: up)?\b/,
    'hardenedGrease',
  ],
  [
    /\b(?:melted|dissolved) (?:old )?(?:belt|rubber)(?= (?:on|in|around|over)\b)|\b(?:sludge|tar|tarry|goo|gooey|gunk|melted|dissolved(?: rubber| belt)?)\b/,
    'sludge',
  ],
  [
    /\b(?:belt |rubber )?residue\b(?: of (?:the )?(?:old )?belt\b)?|\b(?:belt )?crumbs?\b(?: of (?:the )?(?:old )?belt\b)?|\bhard(?:ened)? rubber\b|\brubber (?:stuck|left|on it|bits|pieces)\b|\bbits of (?:rubber|belt)\b/,
    'residue',
  ],
  [
    /\b(?:oily|greasy|oil[- ]soaked|(?:soaked|covered|drenched) (?:in|with) oil|wet with oil|oil all over|full of oil)\b/,
    'oily',
  ],
  [/\b(?:glazed|shiny|polished|slick)\b/, 'glazed'],
  [/\b(?:corroded|corrosion|verdigris|rust(?:y|ed)?|oxidi[sz]ed|oxide|tarnished|green)\b/, 'corroded'],
  [/\b(?:sticky|syrup\w*|spilt?|spilled|sugar\w*)\b/, 'sticky'],
  [/\b(?:fluff\w*|dust\w*|hairs?|lint(?!-)|nicotine|dirty|filthy)\b/, 'fluff'],
];
