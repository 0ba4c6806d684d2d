import type { ContractMember } from '../../model/model';

/** A prop is declared to be a text, a number or a flag, and nothing else; false where nothing is declared. */
export const isOfText = (prop: Pick<ContractMember, 'kinds'> | undefined): boolean =>
  prop?.kinds !== undefined && [...prop.kinds].every((one) => /^(?:text|number|flag|nothing|=.*)$/.test(one));
