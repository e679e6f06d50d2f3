/** What the cards of each kit say, in the order of the designs. */

export interface Greeting {
  title: string;
  tags: string;
  /** Under the title, small. */
  under: string;
  inside: string;
}

/** What the cards of each kit say, in the order of the designs. */
export const SAID: Record<string, readonly Greeting[]> = {
  windward: [
    {
      title: 'Fair winds',
      tags: 'birthday wishes year',
      under: 'to the birthday captain',
      inside: 'May the year ahead\nblow you somewhere good.',
    },
    {
      title: 'Thank you',
      tags: 'thanks gratitude',
      under: 'for the day by the sea',
      inside: 'We still find sand in everything,\nand think of you each time.',
    },
    {
      title: 'Go well',
      tags: 'farewell luck journey',
      under: 'and come back with stories',
      inside: 'There will be tea on\nwhen you are home again.',
    },
    {
      title: 'Ahoy',
      tags: 'hello thinking friend',
      under: 'thinking of you',
      inside: 'Nothing to report,\nbut I wanted to wave.',
    },
    {
      title: 'Come along',
      tags: 'invitation party beach',
      under: 'to the beach, whatever the weather',
      inside: 'Day:\n\nTime:\n\nBring:',
    },
    {
      title: 'With love',
      tags: 'love heart',
      under: 'from shore to shore',
      inside: 'You are my safe harbour.',
    },
  ],
  'garden-year': [
    {
      title: 'Happy birthday',
      tags: 'birthday wishes year',
      under: 'another ring in the tree',
      inside: 'May everything you planted\ncome up this year.',
    },
    {
      title: 'Get well soon',
      tags: 'get well recovery',
      under: 'from all of the border',
      inside: 'Slowly, like everything\nthat grows well.',
    },
    {
      title: 'Congratulations',
      tags: 'congratulations success',
      under: 'look what came of it',
      inside: 'You watered it\nevery single day.',
    },
    {
      title: 'Hello, you',
      tags: 'hello thinking friend',
      under: 'the first one is out',
      inside: 'I saw this and\nthought of your windowsill.',
    },
    {
      title: 'Tea in the garden',
      tags: 'invitation party summer',
      under: 'if the sun allows',
      inside: 'Day:\n\nTime:\n\nRain plan:',
    },
    {
      title: 'In sympathy',
      tags: 'sympathy condolence',
      under: 'with all my heart',
      inside: 'What was loved\nkeeps on growing.',
    },
    {
      title: 'With love',
      tags: 'love heart',
      under: 'and a bunch of these',
      inside: 'For you, who makes\nthings grow.',
    },
  ],
  'kitchen-table': [
    {
      title: 'Happy birthday',
      tags: 'birthday wishes cake',
      under: 'there had better be cake',
      inside: 'May every slice\nbe the corner piece.',
    },
    {
      title: 'Thank you',
      tags: 'thanks gratitude',
      under: 'it was delicious',
      inside: 'For the food, the washing up,\nand the talk in between.',
    },
    {
      title: 'Well done',
      tags: 'congratulations success',
      under: 'it rose beautifully',
      inside: 'All that kneading\nwas worth it.',
    },
    {
      title: 'Hello from here',
      tags: 'hello thinking friend',
      under: 'the kettle has just boiled',
      inside: 'Come by whenever.\nThere is always a cup.',
    },
    {
      title: 'Come to supper',
      tags: 'invitation party meal',
      under: 'nothing fancy',
      inside: 'Day:\n\nTime:\n\nPudding by:',
    },
    {
      title: 'Get well soon',
      tags: 'get well recovery',
      under: 'soup is on its way',
      inside: 'Stay where it is warm.\nWe will bring everything.',
    },
    {
      title: 'New home',
      tags: 'new home house moving',
      under: 'first light in the kitchen',
      inside: 'May the table always\nbe a little too small.',
    },
  ],
  'quiet-hours': [
    {
      title: 'Thinking of you',
      tags: 'hello thinking friend',
      under: 'on an ordinary day',
      inside: 'No reason at all,\nwhich is the best one.',
    },
    {
      title: 'Thank you',
      tags: 'thanks gratitude',
      under: 'for your time',
      inside: 'You listened.\nIt made the difference.',
    },
    {
      title: 'Many years',
      tags: 'anniversary wedding love',
      under: 'and still counting',
      inside: 'To the two of you,\nand all the small days.',
    },
    {
      title: 'Happy birthday',
      tags: 'birthday wishes year',
      under: 'quietly',
      inside: 'A slow morning, a good book,\nand nobody asking.',
    },
    {
      title: 'You are invited',
      tags: 'invitation gathering',
      under: 'for an afternoon',
      inside: 'Day:\n\nTime:\n\nWhere:',
    },
    {
      title: 'With love',
      tags: 'love heart',
      under: 'always',
      inside: 'Here is to\ndoing nothing together.',
    },
  ],
  'lantern-night': [
    {
      title: 'Merry everything',
      tags: 'winter holiday season',
      under: 'from our house to yours',
      inside: 'May your lights all work\nat the first try.',
    },
    {
      title: 'Thank you',
      tags: 'thanks gratitude gift',
      under: 'it was just what I wished for',
      inside: 'You always know.\nHow do you always know?',
    },
    {
      title: 'A good new year',
      tags: 'new year wishes',
      under: 'and a bright one',
      inside: 'Twelve new months,\nnot a mark on them yet.',
    },
    {
      title: 'Peace',
      tags: 'winter season quiet',
      under: 'and a warm window',
      inside: 'Thinking of you\non the longest night.',
    },
    {
      title: 'Come and celebrate',
      tags: 'invitation party feast',
      under: 'wear something that shines',
      inside: 'Day:\n\nTime:\n\nBring:',
    },
    {
      title: 'With love',
      tags: 'love heart winter',
      under: 'by candlelight',
      inside: 'You are the warm room\nat the end of the walk.',
    },
  ],
  'every-day': [
    {
      title: 'Happy birthday',
      tags: 'birthday wishes year',
      under: 'on an ordinary Tuesday',
      inside: 'May it be\nanything but ordinary.',
    },
    {
      title: 'Thank you',
      tags: 'thanks gratitude',
      under: 'for all the usual things',
      inside: 'I noticed.\nI always notice.',
    },
    {
      title: 'Just a note',
      tags: 'hello thinking friend',
      under: 'to say hello',
      inside: 'Nothing new here.\nWrite soon!',
    },
    {
      title: 'Get well soon',
      tags: 'get well recovery',
      under: 'the street is too quiet',
      inside: 'Rest now.\nThe errands can wait.',
    },
    {
      title: 'Join us',
      tags: 'invitation party friends',
      under: 'for nothing in particular',
      inside: 'Day:\n\nTime:\n\nWhere:',
    },
    {
      title: 'New address',
      tags: 'new home house moving',
      under: 'same people, other door',
      inside: 'Come and find us:',
    },
    {
      title: 'Well done',
      tags: 'congratulations success',
      under: 'you made it look easy',
      inside: 'We know it was not.\nBravo.',
    },
    {
      title: 'Good luck',
      tags: 'luck exam start',
      under: 'not that you need it',
      inside: 'Thinking of you\nat nine o’clock.',
    },
  ],
  'little-one': [
    {
      title: 'Welcome, little one',
      tags: 'baby new welcome',
      under: 'the world was waiting',
      inside: 'Ten fingers, ten toes,\nand all of our love.',
    },
    {
      title: 'Thank you',
      tags: 'thanks gratitude baby',
      under: 'from the smallest of us',
      inside: 'It fits.\nFor at least a week.',
    },
    {
      title: 'One today',
      tags: 'birthday first year',
      under: 'and what a year',
      inside: 'Happy first birthday\nto you, and well done to them.',
    },
    {
      title: 'Sleep tight',
      tags: 'baby night parents',
      under: 'all of you',
      inside: 'May the nights grow longer\nand the songs shorter.',
    },
    {
      title: 'A party for one',
      tags: 'invitation birthday party',
      under: 'cake for everybody else',
      inside: 'Day:\n\nTime:\n\nNap at:',
    },
    {
      title: 'Congratulations',
      tags: 'congratulations baby family',
      under: 'to the new parents',
      inside: 'You are just\nwhat this child ordered.',
    },
    {
      title: 'On your naming day',
      tags: 'christening naming blessing',
      under: 'with love',
      inside: 'May your name\nbe called with joy.',
    },
    {
      title: 'For grandmother',
      tags: 'grandmother family love',
      under: 'here is the photo you asked for',
      inside: 'More soon.\nWe took four hundred.',
    },
  ],
};
