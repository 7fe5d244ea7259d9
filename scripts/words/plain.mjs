// What shown text says instead of words that are not used: from the glossary of the interface. Each has the better words, and where
// it helps, texts in which the same letters are right (`but`).

/** @typedef {{ readonly word: RegExp; readonly say: string; readonly but?: RegExp }} Refused */

/** @type {readonly Refused[]} */
export const refusedWords = [
  // The interface.
  {
    word: /\bt(?:ake|akes|aken|aking|ook) (?:\S+ ){0,2}(?:out|in)\b(?! (?:half|full))/i,
    say: 'export, import or remove',
  },
  {
    word: /\b(?:puts?|putting) (?:it |them |\S+ )?(?:in(?! (?:quotes|braces|your|front|order|touch))|into)\b/i,
    say: 'add or insert',
  },
  { word: /\bt(?:ake|akes|aken|aking) (?:it |that |them |\S+ )?back\b/i, say: 'undo' },
  { word: /\b(?:leave it|let (?:it|them) go)\b/i, say: 'cancel, discard or keep' },
  { word: /\b(?:puts?|putting) (?:\S+ ){0,2}away\b/i, say: 'close, hide or dismiss' },
  { word: /\b(?:go|goes|going|gone) on\b/i, say: 'resume, continue or next' },
  { word: /\b(?:un)?mark(?:ed|ing)? rows?\b|\bunmark/i, say: 'select, selected or clear selection' },
  { word: /\b(?:un)?fold(?:s|ed|ing)?\b/i, say: 'expand or collapse' },
  { word: /\bfills? the screen\b/i, say: 'full screen' },
  { word: /\bwithout a (?:title|name)\b/i, say: 'untitled, or no name' },
  { word: /\bfor good\b/i, say: 'saved, or protected' },
  { word: /\b(?:once more|anew)\b/i, say: 'again, or a verb with re-' },
  { word: /\bhouse values?\b|\bunless told\b/i, say: 'default' },
  { word: /\bwithout a network\b/i, say: 'offline' },
  { word: /\b(?:line (?:is )?lost|off the line)\b/i, say: 'connection lost' },
  { word: /\bfindings?\b/i, say: 'checks; problem, warning or note' },
  { word: /\b(?:mend|repair)(?:s|ed|ing)?\b/i, say: 'fix' },
  { word: /^(?:Glance|Whole|Change)$/, say: 'Overview or Adjust' },
  { word: /\bby itself\b/i, say: 'automatically' },
  { word: /\bparted by\b|\bby commas\b(?<!separated by commas)/i, say: 'separated by commas' },
  { word: /\b(?:whoever|that which)\b/i, say: 'a noun' },
  { word: /\b(?:works?|worked|working) (?:it |this |that )?out\b/i, say: 'calculate, estimate or prepare' },
  { word: /\bmatters?\b(?= more)|\bis worth\b/i, say: 'is more important, or scores' },
  { word: /\bthis program\b/i, say: 'Keen Tempo' },
  { word: /\bthere is no such\b/i, say: 'not found, or unknown' },
  { word: /(?<!\bthere )\bis no (?!longer|medical|doubt|need)\w/i, say: 'is not a' },
  // The plan and the session.
  { word: /\brun sheet\b/i, say: 'sheet' },
  { word: /\bown time\b/i, say: 'free work', but: /\d\S* own time|\} own time/ },
  { word: /\brungs?\b/i, say: 'stage, or step (solo)' },
  { word: /\b(?:kick close|singles first|by amount)\b/i, say: 'kick finish, one at a time or growing number' },
  { word: /\b(?:calls drill|count calls)\b/i, say: 'call drill' },
  { word: /\bopen breaks?\b/i, say: 'open rest' },
  { word: /\bbreath(?:s)? between\b/i, say: 'gap' },
  { word: /\ball there is\b/i, say: 'all out, or everything' },
  { word: /\bnot said\b/i, say: 'not rated, not set or left out' },
  { word: /\bhalf way\b/i, say: 'halfway' },
  { word: /\bpieces?\b/i, say: 'drill', but: /each pieces/ },
  // Combinations.
  { word: /\b(?:the|into the|a|your) book\b/i, say: 'your combinations' },
  { word: /\bblows?\b/i, say: 'strike or punch' },
  { word: /\bseams?\b/i, say: 'transition' },
  { word: /\bsticks\b|\bstuck\b/i, say: 'does not flow' },
  { word: /\bloop and all\b|^loop: /i, say: 'on repeat' },
  { word: /\bleft to the athlete\b|\bslots?\b/i, say: '“any”, or athlete’s choice' },
  { word: /\bstaff\b/i, say: 'diagram' },
  { word: /\bwish(?:es)?\b/i, say: 'criteria' },
  { word: /\bneighbours?\b|\bbeside it\b/i, say: 'variations, or similar' },
  { word: /\bfamil(?:y|ies)\b/i, say: 'build-ups, or kind of strike' },
  { word: /\btake (?:turns?)\b/i, say: 'alternate' },
  // Stance and room.
  { word: /\bchang(?:e|es|ed|ing) over\b/i, say: 'switch stance, or swap (pads)' },
  { word: /\b(?:other|natural) stance\b/i, say: 'opposite stance, or own stance' },
  { word: /\blanes?\b/i, say: 'station', but: /\blane change: / },
  { word: /\bwho is on what\b/i, say: 'rotation' },
  { word: /\bis down\b/i, say: 'is out of use' },
  { word: /\b(?:hung bag|standing bag|ball between cords)\b/i, say: 'heavy, freestanding or double-end bag' },
  { word: /\bbench\b/i, say: 'bag set-up', but: /\|bench\||bench pendulum/ },
  { word: /\bschools?\b/i, say: 'where coaches differ' },
  { word: /\bstatures?\b|\bthe (?:smallest|middle) one\b/i, say: 'height, the shortest or middle person' },
  // What is heard and seen.
  { word: /\breminders?\b/i, say: 'cue' },
  { word: /\b(?:praise|cheers?)\b/i, say: 'encouragement', but: /praise: "|praise line/ },
  { word: /\blead(?:ing)? out\b/i, say: 'countdown' },
  {
    word: /\bwalls?\b/i,
    say: 'screen',
    but: /\bwall card\b|\bwall (?:side|beside|behind)\b|\b(?:the|a|no|its|by its|near a|from the|to a|beside a|left|front) walls?\b/i,
  },
  {
    word: /\b(?:open(?:s|ed|ing)?|closes?|closed) (?:a|the) room\b|\bshut out\b/i,
    say: 'share, stop sharing or remove',
  },
  { word: /\beveryone with me\b/i, say: 'hold the class' },
  { word: /\bfilms?\b/i, say: 'video' },
  { word: /\bcard for the wall\b/i, say: 'wall card' },
  // Solo, the log and progress.
  { word: /(?<!stand-)\balone\b/i, say: 'solo, or only' },
  { word: /\bit (?:sits|broke)\b/i, say: 'got it, lost it' },
  { word: /\b(?:broken off|given up|broke off)\b/i, say: 'interrupted, or ended early' },
  { word: /\btaken for true\b/i, say: 'estimate' },
  { word: /\bdue again\b/i, say: 'due for review' },
  { word: /\bpulse\b/i, say: 'heart rate' },
  { word: /\bpress-ups?\b/i, say: 'push-ups' },
  // Numbers.
  { word: /(?:\d|\}) %/, say: '50%, without a space' },
  { word: /\w …(?:$|[\s<])/, say: 'Working…, without a space' },
  {
    word: /\b(?:punches|strikes|clicks|touches|blows|rebounds|beats|returns|times) an? (?:minute|second)\b|\d an? (?:minute|second)\b/i,
    say: 'per minute, per second',
  },
];

/**
 * What shown text says that it should not, each with the better words.
 * @param {string} text
 * @returns {{ readonly found: string; readonly say: string }[]}
 * @example refusedIn('Take out a film') // [{ found: 'Take out', say: 'export, …' }, { found: 'film', say: 'video' }]
 */
export function refusedIn(text) {
  return refusedWords.flatMap(({ word, say, but }) => {
    const found = word.exec(text)?.[0];
    return found === undefined || but?.test(text) ? [] : [{ found: found.trim(), say }];
  });
}
