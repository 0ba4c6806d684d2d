import { type BodyIndex, indexBody } from '..';
import type { ComponentFacts } from '../../model/facts';
import { remembered } from '../../model/remembered';

/** Where each value of a component goes, made once for all rules. */
export const indexOf = remembered((facts: ComponentFacts): BodyIndex => indexBody(facts));
