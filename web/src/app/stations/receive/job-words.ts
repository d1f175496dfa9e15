import type { Change, Hazard, Want } from '@iron-patch/core';

export const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  lifting: 'Lifting gear',
  vessel: "A vessel's ramp",
  pressure: 'Trapped pressure or gas',
  spring: 'Loaded spring',
  'raised-load': 'Raised load',
  fuel: 'Held fuel',
  steering: 'Steering or brakes',
  welding: 'Welding',
  press: 'Press work',
  'old-linings': 'Old linings or paint',
  plating: 'Old plating or chrome',
  'burning-metals': 'Beryllium, magnesium or lead',
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
