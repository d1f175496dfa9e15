/** What to mind when a material is cut, heated or welded, by material id. */
export const MATERIAL_CAUTIONS: Readonly<Record<string, string>> = {
  'steel-free-lead': 'Holds lead: do not weld it, wash hands, no dry grinding.',
  'steel-free': 'Sulphurised: do not weld it, it cracks.',
  'steel-1144': 'Sulphurised: do not weld it. Drawn bars move when one side is cut.',
  'steel-c60': 'Hardens beside a weld: preheat and a qualified procedure.',
  'steel-42crmo4': 'Welding needs preheat and slow cooling by a qualified procedure.',
  'steel-34crnimo6': 'Welding needs preheat and slow cooling by a qualified procedure.',
  'steel-chrome-rod': 'Take chrome and case in one cut under them, or grind. Chrome gives poisonous fumes in a weld: strip it first.',
  'stainless-304': 'Work hardens: keep the tool cutting, never let it rub.',
  'stainless-316': 'Work hardens: keep the tool cutting, never let it rub. Galls on itself.',
  'iron-grey': 'Dust: dry cut, extract or mask. Brittle: no press fit that would stretch it past its strength.',
  'iron-grey-200': 'Dust: dry cut, extract or mask. Brittle: no press fit that would stretch it past its strength.',
  'bronze-leaded': 'Holds lead: no dry grinding, wash hands.',
  brass: 'Holds lead; needle chips fly: face shield. A drill grabs: stone its lips flat.',
  'bronze-sintered': 'Sharp tool, dry or its own oil. Do not grind or ream the bore shut; no cutting emulsion.',
  'copper-beryllium':
    'Beryllium dust and fume make the lungs ill for life: no dry grinding, no sanding, no welding; leave it to a shop that is equipped.',
  'magnesium-cast':
    'Chips and dust burn and water makes it worse: sharp tool, no water-based coolant, dry sand or a class D extinguisher at hand.',
  'titanium-5': 'Fine chips burn: flood, no dust, class D extinguisher at hand.',
  ptfe: 'Fumes above 260 °C are poisonous: no smoking at the machine, no burning of chips.',
  phenolic: 'Dust: extract or mask.',
};

/** What shops take instead when it is not on the rack, and what changes. */
export const MATERIAL_SUBSTITUTES: Readonly<Record<string, readonly (readonly [id: string, change: string])[]>> = {
  'steel-mild': [
    ['steel-s355', 'half as strong again; cuts a little harder'],
    ['steel-1018-drawn', 'stronger and on size; moves when one side is cut'],
  ],
  'steel-c45': [
    ['steel-42crmo4', 'nearly twice the yield; slower to cut, weld only with preheat'],
    ['steel-1144', 'cuts freely and is stronger; cannot be welded'],
    ['steel-s355', 'weldable; softer, wears faster and takes no hardening'],
  ],
  'steel-42crmo4': [
    ['steel-34crnimo6', 'stronger through thick sections; dearer'],
    ['steel-1144', 'nearly as strong in small sizes; notches hurt it more, cannot be welded'],
    ['steel-c45', 'about half the yield: check the section'],
  ],
  'steel-34crnimo6': [['steel-42crmo4', 'weaker in thick sections: check the section']],
  'steel-16mncr5': [['steel-8620', 'tougher core after hardening']],
  'steel-8620': [['steel-16mncr5', 'a little less tough core']],
  'steel-silver': [['steel-o1', 'hardens in oil and moves less']],
  'steel-o1': [['steel-silver', 'hardens in water and moves more']],
  'stainless-304': [
    ['stainless-303', 'cuts freely; rusts sooner and cannot be welded'],
    ['stainless-316', 'better in salt water; dearer'],
  ],
  'stainless-303': [['stainless-304', 'weldable; work hardens, cuts slower']],
  'stainless-316': [['stainless-304', 'pits in salt water']],
  'bronze-tin': [
    ['bronze-leaded', 'runs better on soft shafts and with dirt; carries less'],
    ['bronze-aluminium', 'carries more and hits better; needs a hard shaft and good oil'],
  ],
  'bronze-leaded': [
    ['bronze-tin', 'carries more; needs a harder shaft'],
    ['bronze-sintered', 'oils itself at light load; press in without boring after'],
  ],
  'bronze-sintered': [['bronze-leaded', 'wants grease or oil and a groove for it']],
  'bronze-aluminium': [['bronze-tin', 'softer, kinder to the shaft; carries less']],
  'iron-grey': [['iron-sg-400', 'twice as strong and tough; damps less, gets no graphite film']],
  'aluminium-6082': [['aluminium-6061', 'the same for most work']],
  'aluminium-6061': [['aluminium-6082', 'the same for most work']],
  'pa6-cast': [['pom', 'does not swell in water and holds size; less tough']],
  pom: [['pa6-cast', 'tougher; swells in water: leave more play']],
};
