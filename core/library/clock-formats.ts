/** A way to lay out rounds that coaches use; the text is tempo text for the blocks it comes to. */
export interface ClockFormat {
  readonly name: string;
  readonly group: 'rounds' | 'changes' | 'hard and easy' | 'finish';
  readonly text: string;
}

/** Clock formats as data (trade page, section 6, common practice, no source). A new one is a line here. */
export const clockFormats: readonly ClockFormat[] = [
  { name: 'Technique rounds, 5 × 2 min', group: 'rounds', text: 'round 2:00 x5 rest 1:00' },
  { name: 'Shadow warm-up, 3 × 3 min', group: 'rounds', text: 'round 3:00 x3 rest 0:30 on shadow: freestyle' },
  { name: 'Three-minute rounds, 6 × 3 min', group: 'rounds', text: 'round 3:00 x6 rest 1:00' },
  { name: 'Four-minute rounds, 4 × 4 min', group: 'rounds', text: 'round 4:00 x4 rest 0:45' },
  {
    name: 'Build from jab to four punches, 3 × 5 min',
    group: 'rounds',
    text: 'round 5:00 x3 rest 1:00\n  build ladder every 1:15: 1 2 3 2',
  },
  { name: 'Punch-goal round', group: 'rounds', text: 'round 3:00 "Punch goal" goal 200: 1 2 3 2' },
  {
    name: 'Change every 45 s',
    group: 'changes',
    text: 'round 3:00\n0:45: 1 2\n0:45: 1 2 3\n0:45: 1 2 3b\n0:45: 1 2 3b 2',
  },
  {
    name: 'Change every 30 s',
    group: 'changes',
    text: 'round 3:00\n0:30: 1\n0:30: 1 2\n0:30: 2 3\n0:30: 1 2 3\n0:30: 2 3 2\n0:30: 1 2 3 2',
  },
  {
    name: 'Finishing round, 15 s drills',
    group: 'changes',
    text: 'round 2:00 "Finishing round"\n0:15 strong: 1 2\n0:15 easy: 1\n0:15 strong: 2 3 2\n0:15 easy: 1\n0:15 strong: 3 2\n0:15 easy: 1\n0:15 strong: 1 2 3\n0:15 all-out nonstop: 1 2',
  },
  { name: 'Change every minute', group: 'changes', text: 'round 3:00\n1:00: 1 2\n1:00: 1 2 3\n1:00: 1 2 3 2' },
  {
    name: 'Three ladders, 6 × 30 s each',
    group: 'changes',
    text: 'round 3:00\n  build ladder every 0:30: 1 2 3 2 5 4\nrest 0:30\nround 3:00\n  build ladder every 0:30: 1 2 3b 2 3 2\nrest 0:30\nround 3:00\n  build ladder every 0:30: 2 3 2 1 2 3\nrest 0:30\nround 1:00 "Free minute"\n1:00 own time',
  },
  {
    name: 'Hard and easy intervals, four pairs',
    group: 'hard and easy',
    text: 'round 6:00 "Hard and easy"\n1:00 all-out: 1 2\n0:30 easy: 1\n1:00 all-out: 2 3 2\n0:30 easy: 1\n1:00 all-out: 1 2 3 2\n0:30 easy: 1\n1:00 all-out: 1 2\n0:30 easy: 1',
  },
  {
    name: 'Thirds: technique, speed, power',
    group: 'hard and easy',
    text: 'round 3:00 "Thirds"\n1:00 technique: 1 2 3\n1:00 speed: 1 2 3\n1:00 power: 1 2 3',
  },
  {
    name: 'Straights, ramping up from 50 to 100%',
    group: 'hard and easy',
    text: 'round 2:30 "Ramp"\n0:30 50% nonstop: 1 2\n0:30 60% nonstop: 1 2\n0:30 70% nonstop: 1 2\n0:30 80% nonstop: 1 2\n0:30 100% nonstop: 1 2',
  },
  {
    name: 'Ramp up until form breaks',
    group: 'hard and easy',
    text: '// stop when form breaks and note the fault: that is the next session’s focus\nround 3:00 "Ramp up until form breaks"\n0:30 50%: 1 2 3\n0:30 60%: 1 2 3\n0:30 70%: 1 2 3\n0:30 80%: 1 2 3\n0:30 90%: 1 2 3\n0:30 100%: 1 2 3',
  },
  { name: 'Non-stop finish', group: 'finish', text: 'round 3:00\n2:40: 1 2 3b\n0:20 all-out nonstop: 1 2' },
  {
    name: 'Call drills: number, direction, go',
    group: 'finish',
    text: 'round 3:00 "Call drills"\n1:00 call count 2-6\n1:00 call direction 2\n1:00 call go 3',
  },
  {
    name: 'Core, 5 × 45 s',
    group: 'finish',
    text: 'core 3:45\n0:45 x5 Plank / Dead bug / Bridge / Slow punch crunches / Squat hold',
  },
];
