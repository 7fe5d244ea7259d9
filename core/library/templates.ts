/** A whole session of our own devising, to begin from. */
export interface SessionTemplate {
  readonly id: string;
  /** Who it is for and what it trains, in a line. */
  readonly what: string;
  /** Tempo text. */
  readonly text: string;
}

const coolDown = (length: '2:00' | '3:00' | '4:00'): string =>
  `cool-down ${length}\n${length === '2:00' ? '  1:00 Loose standing twists\n  1:00 Slow, deep breaths' : length === '3:00' ? '  1:00 Loose standing twists\n  1:00 Hip stretch, both sides\n  1:00 Slow, deep breaths' : '  1:00 Loose standing twists\n  1:00 Hip stretch, both sides\n  1:00 Hamstring stretch, both sides\n  1:00 Slow, deep breaths'}`;
const warmUp = `warm-up 5:00
  2:00 Skipping, easy feet
  0:45 Arm circles, both ways
  0:45 Hip circles, both ways
  1:30 easy shadow: freestyle`;

/** Sessions covering the clock formats and builds, from ten minutes alone to an hour with everyone. */
export const sessionTemplates: readonly SessionTemplate[] = [
  {
    id: 'ten-alone',
    what: 'Ten minutes of solo shadow boxing: one ladder and a free minute',
    text: `# Ten minutes, no bag\nbag: shadow\nlevel: beginner\nwarm-up 2:00\n  1:00 March and reach\n  1:00 Torso turns in stance\nround 3:00 "Up to six"\n  build ladder every 0:30: 1 2 3b 2 5 2\nrest 0:30\nround 3:00 "Use it"\n  2:00: 1 2 3b 2 5 2\n  1:00 own time\ncool-down 1:30\n  0:45 Loose standing twists\n  0:45 Slow, deep breaths`,
  },
  {
    id: 'first-bag',
    what: 'First half hour on the heavy bag: 5 × 2 min technique',
    text: `# First time on the bag\nbag: heavy\nlevel: beginner\n${warmUp}\nshow 0:45: 1 2b\nround 2:00 x5 rest 1:00\n  build ladder every round: 1 2b 3 2 3b\nrest 1:00\nround 2:00 "All of it"\n  2:00 technique: 1 2b 3 2 3b\ncore 3:00\n  1:00 x3 Dead bug / Bridge / Plank\n${coolDown('3:00')}`,
  },
  {
    id: 'four-punches',
    what: 'Jab to four punches in five-minute rounds',
    text: `# Jab to four punches\nbag: heavy\nlevel: intermediate\n${warmUp}\nround 5:00 x3 rest 1:00\n  build ladder every 1:15: 1 2 3b 2\nrest 1:00\nround 3:00 "Punch goal" goal 160\n  2:40: 1 2 3b 2\n  0:20 all-out nonstop: 1 2\n${coolDown('3:00')}`,
  },
  {
    id: 'hard-easy',
    what: 'Conditioning: hard/easy intervals, then straights ramping up',
    text: `# Hard and easy\nbag: heavy\nlevel: advanced\n${warmUp}\nround 6:00 "Hard and easy"\n  1:00 all-out: 1 2\n  0:30 easy: 1\n  1:00 all-out: 2 3b 2\n  0:30 easy: 1\n  1:00 all-out: 1 2 3b 2\n  0:30 easy: 1\n  1:00 all-out: 2b 3 2\n  0:30 easy: 1\nrest 1:30\nround 2:30 "Ramp"\n  build effort 50,60,70,80,100 every 0:30 nonstop: 1 2\nrest 1:30\ncore 3:45\n  0:45 x5 Plank / Dead bug / Hollow hold / Slow punch crunches / Squat hold\n${coolDown('4:00')}`,
  },
  {
    id: 'kicks',
    what: 'Punches into a kick: kick finishes, linked and chunked combinations',
    text: `# Hands into kicks\nbag: heavy\nlevel: intermediate\n${warmUp}\nround 2:00 "Leg swings and teeps"\n  1:00 Leg swings\n  1:00 easy: tp wait rtp\nrest 0:45\nround 3:45 "Kick finish"\n  build kick-close every 0:45: 1 2 3\nrest 1:00\nround 5:00 "Link them"\n  build join every 0:30: 1 2 bk // 3b 2 swk 1\nrest 1:00\nround 3:00 "Long combination in three parts"\n  build chunks every 1:00: 1 2 bl 2 3b lk\n${coolDown('4:00')}`,
  },
  {
    id: 'both-stances',
    what: 'The same work in both stances: learn it, then mirror it',
    text: `# Both stances\nbag: shadow\nlevel: intermediate\n${warmUp}\nround 4:00 "Learn and mirror" learn then mirror\n  build ladder every 0:30: 1 2 3b 2\nrest 0:45\nround 2:00 x4 rest 0:45 "Switch stance every other round" switch stance: 1 2b 3 ro-l 3 2\nrest 0:45\nround 3:00 "Straights from either hand"\n  build alternator from 2 to 4 every 0:30\n${coolDown('3:00')}`,
  },
  {
    id: 'sharp-ears',
    what: 'Reactions: number, direction and go drills between light straights',
    text: `# Sharp ears\nbag: double-end\nlevel: intermediate\n${warmUp}\nround 2:00 "Straights"\n  build amount to 5 every 0:30: any 2 straights\nrest 0:45\nround 3:00 "Counts" on double-end\n  1:30 call count 2-4 between "light straights"\n  1:30 call count 2-6 between "light straights"\nrest 0:45\nround 3:00 "Feet" on shadow\n  3:00 call direction 1-3\nrest 0:45\nround 2:00 "Go"\n  2:00 call go 4 gap 3-8\n${coolDown('3:00')}`,
  },
  {
    id: 'levels',
    what: 'High and low: changing levels, one strike at a time, three-part rounds',
    text: `# High and low\nbag: heavy\nlevel: beginner\n${warmUp}\nround 3:00 "Singles first"\n  build singles every 0:45: 1 2 3b\nrest 0:45\nround 3:00 "Levels"\n  build levels every 1:30: 1 2\nrest 0:45\nround 3:00 "Thirds"\n  1:00 technique: 1 2b 3 2\n  1:00 speed: 1 2b 3 2\n  1:00 power: 1 2b 3 2\nrest 0:45\nround 3:00 "Back to front"\n  build backward every 0:45: 1 2b 3 2\n${coolDown('3:00')}`,
  },
  {
    id: 'hour-mixed',
    what: 'One hour for a mixed class: ladders, kicks, punch goals, call drills, core',
    text: `# One hour, everyone\nbag: heavy\nlevel: intermediate\nclass: 12 people\nwarm-up 7:45\n  2:00 Skipping, easy feet\n  1:00 Side steps, hands up\n  1:00 Arm circles, both ways\n  1:00 Squat and stand tall\n  2:45 easy shadow: freestyle\nshow 0:45: 1 2 3b 2 5 2\nround 3:00 "Ladder"\n  build ladder every 0:30: 1 2 3b 2 5 2\nrest 1:00\nround 3:00 "Pyramid"\n  build pyramid every 1:00: 2 3b\nrest 1:00\nround 3:00 x3 rest 1:00 "Punch goal" goal 120 switch stance: 1 2 3b 2\nrest open\nround 2:30 "Kick finish"\n  build kick-close every 0:30: 1 2 3\nrest 1:00\nround 3:00 "Thirds"\n  1:00 technique: 1 2 bk\n  1:00 speed: 1 2\n  1:00 power: 2 3b 2\nrest 1:00\nround 3:00 "Call drills" on shadow\n  1:00 call count 2-6\n  1:00 call direction 2\n  1:00 call go 3\nrest 1:00\nround 3:00 x3 rest 1:00 "Change every minute"\n  1:00: 1 2b 3 2\n  1:00 strong: 2 3b 2\n  1:00 easy own time\nrest 1:00\nround 2:00 "Finishing round"\n  0:15 x8 strong 1 2 / 2 3b 2 / 3 2 / 1 2 3 / 1 2 / 2 3b 2 / 3 2 / 1 2 3\ncore 3:00\n  0:30 x6 Plank / Dead bug / Bridge / Slow punch crunches / Side plank left / Side plank right\ncool-down 4:00\n  1:00 Loose standing twists\n  1:00 Hip stretch, both sides\n  1:00 Hamstring stretch, both sides\n  1:00 Slow, deep breaths`,
  },
];
