import type { BagKind } from '../bags/kind-names';

/** Rounds for one kind of bag; the text is tempo text for the blocks it comes to. */
export interface BagPlan {
  readonly name: string;
  readonly bag: BagKind;
  readonly text: string;
}

const standing = `round 2:00 "Outside: straights, feet, feints" on standing
  0:40: in+1 out
  0:40: ft 1 2 out
  0:40: in 1 2 out
rest 0:45
round 2:00 "Inside: head sets up body, body sets up head" on standing
  0:40: 3 3b ang
  0:40: 3b 3 ang
  0:40: 5 3b 3 ang
rest 0:45
round 2:00 "Both: use your straights to get in" on standing
  1:00: in+1 2 3 3b 3 ang
  1:00 strong: in+1 2 3 3b 3 ang`;

const softToHard = (bag: 'double-end' | 'reflex', text: string, finish: string): string =>
  `round 3:00 "Soft to hard" on ${bag}
  0:30 50%: ${text}
  0:30 60%: ${text}
  0:30 70%: ${text}
  0:30 80%: ${text}
  0:30 90%: ${text}
  ${finish}`;

const speed = `round 2:00 "Five rebounds" on speed
  1:00 rhythm 0 turns
  1:00 rhythm 5 turns
rest 0:30
round 2:00 "Triplets" on speed
  1:00 rhythm 3 lead
  1:00 rhythm 3 rear
rest 0:30
round 2:00 "Triplets, then longer runs of singles" on speed
  1:40 rhythm 3,3,1 turns grow 1-5
  0:20 rhythm 1 turns`;

/** Plans that fit one kind of bag (trade page, section 7; common practice, no source). A new one is a line here. */
export const bagPlans: readonly BagPlan[] = [
  { name: 'Freestanding: outside, inside, both', bag: 'standing', text: standing },
  {
    name: 'Double-end: soft to hard',
    bag: 'double-end',
    text: softToHard('double-end', '1 2', '0:10 easy: 1\n  0:20 all-out nonstop: 1 2'),
  },
  { name: 'Reflex: soft to hard', bag: 'reflex', text: softToHard('reflex', '1 wait 2', '0:30 easy: 1') },
  { name: 'Speed: fives, triplets, singles', bag: 'speed', text: speed },
  {
    name: 'Heavy bag: around it, in time with the swing',
    bag: 'heavy',
    text: 'round 3:00 "In time with the swing" on heavy\n  1:00 easy: 1 out\n  1:00: 1 2 ang between "step around as it swings in"\n  1:00: tp ang between "let it swing past"',
  },
];
