import { apart, type Gap, type Part, type Site } from './site';

/** What a sentence is in another language: its forms, one but for counted nouns; null where nobody has said it yet. */
export type Said = (site: Site) => readonly string[] | null;

/** A source with its wording said otherwise. */
export function put(source: string, sites: readonly Site[], said: Said, from = 0, to = source.length): string {
  let out = '';
  let at = from;
  for (const [i, site] of sites.entries()) {
    if (site.start < at || site.end > to) continue;
    out += source.slice(at, site.start) + one(source, site, sites.slice(i + 1), said);
    at = site.end;
  }
  return out + source.slice(at, to);
}

function one(source: string, site: Site, inside: readonly Site[], said: Said): string {
  const gap = (g: Gap): string => put(source, inside, said, g.start, g.end);
  const forms = said(site);
  if (!forms) {
    let out = '';
    let at = site.start;
    for (const g of [...site.gaps].sort((p, q) => p.start - q.start)) {
      out += source.slice(at, g.start) + gap(g);
      at = g.end;
    }
    return out + source.slice(at, site.end);
  }
  if (site.many !== undefined) return site.write(forms.map((words) => ({ words })));
  return site.write(
    apart(forms[0]!)
      .map((p, i): Part => (i % 2 ? { source: gap(site.gaps.find((g) => g.name === p)!) } : { words: p }))
      .filter((p) => !('words' in p && p.words === '')),
  );
}
