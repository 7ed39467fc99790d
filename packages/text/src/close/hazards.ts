import type { Hazard } from '@cordel/core/close';
import { phrases } from '../phrases.ts';

/** What can hurt somebody at a closure's place. */
export const hazardText = phrases({
  air: 'Hole, vault or cabinet: air',
  traffic: 'Traffic',
  water: 'Water',
  height: 'Ladder, pole or bucket',
  power: 'Power lines nearby',
} satisfies Record<Hazard, string>);

/** The usual caution. */
export const hazardCautionText = phrases({
  air: 'Test the air for gas and oxygen before anybody enters, air it, test on; never alone. Where the law asks for a trained person, that person does it.',
  traffic:
    'Cones, signs and bright clothes; the van between you and the traffic. Follow local codes.',
  water: 'Pump it out before you enter; nothing electric stands in it.',
  height: 'Ladder tied and footed, belt on, bucket by those who are trained for it.',
  power: 'Keep the distance that the local code gives; qualified people only come nearer.',
} satisfies Record<Hazard, string>);
