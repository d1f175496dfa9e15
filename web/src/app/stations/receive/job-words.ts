import type { Change, Hazard, Want } from '@iron-patch/core';

export const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  lifting: 'Lifting gear',
  vessel: "A vessel's ramp",
  steering: 'Steering or brakes',
  pressure: 'Trapped pressure or gas',
  'structural-weld': 'Structural or pressure weld',
  spring: 'Loaded spring',
  'raised-load': 'Raised load',
  drives: 'Belts, blades, drives',
  ignition: 'Engine that can start',
  electricity: 'Stored electricity',
  hot: 'Hot parts',
  fuel: 'Held fuel',
  solvent: 'Solvents, degreaser',
  welding: 'Welding',
  press: 'Press work',
  'old-linings': 'Old linings or paint: asbestos, lead',
  plating: 'Old plating or chrome',
  'burnt-seals': 'Burnt seals',
  magnesium: 'Magnesium',
  beryllium: 'Beryllium copper',
  'lead-bronze': 'Leaded bronze or brass',
};

export const WANT_WORDS: Readonly<Record<Want, string>> = {
  'like-for-like': 'Like for like',
  'made-better': 'Made better',
  changed: 'Changed',
};

export const CHANGE_WORDS: Readonly<Record<Change, string>> = {
  'other-hand': 'Other hand: turns the other way',
  'other-side': 'Other side',
  'other-size': 'Other size',
  'other-thread': 'Other thread system',
};
