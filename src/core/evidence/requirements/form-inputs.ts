import { say } from '../../../messages/say';
import type { FormInput } from './description';

/** The temperature to be reached, which every kind of requirement asks for. */
export const FLOOR_INPUT: FormInput = {
  key: 'floor',
  get label() {
    return say('evidence.atOrAbove');
  },
  unit: 'temperature',
};

/** The temperature that must not be passed, where there is one. */
export const CEILING_INPUT: FormInput = {
  key: 'ceiling',
  get label() {
    return say('evidence.neverAbove');
  },
  unit: 'temperature',
  get empty() {
    return say('evidence.noLimit');
  },
};
