/**
 * The house collection of sentiments and quotes, all of our own writing. Lines end where they are shown to end; what stands
 * between stars is written larger; {name} and its like are blanks to be filled in.
 */
export const OCCASIONS = {
  birthday: 'Birthday',
  thanks: 'Thanks',
  love: 'Love and weddings',
  children: 'Children',
  family: 'Family',
  friends: 'Friends',
  pets: 'Pets',
  travel: 'Travel',
  sea: 'By the sea',
  spring: 'Spring',
  summer: 'Summer',
  autumn: 'Autumn',
  winter: 'Winter',
  festive: 'Festive days',
  school: 'School and success',
  home: 'Home and everyday',
  loss: 'Loss and remembering',
} as const;
export type Occasion = keyof typeof OCCASIONS;

const TEXTS: Record<Occasion, string> = {
  birthday: `
*Happy birthday*|dear {name}
{age} *and counting*
one more candle,|*one more wish*
*{name} is {age}*|and the cake knows it
a whole year|*wiser, sillier, dearer*
blow them out|*and make it a good one*
today the world|*got you*
*cake first,*|questions later
the day you came|*everything got brighter*
*hooray for {name}!*
another lap|*around the sun*
may your slice|*be the biggest*
small hands,|*big birthday*
*{age} today*|and not a day too soon
here is to the kite that is you:|*higher every year*
candles are only|*stars that came for tea*
wishes whispered,|*frosting everywhere*
the best present|*has always been you*`,
  thanks: `
*thank you*|for all of it
you noticed,|*you helped, it mattered*
*many thanks*|from all of us
for the big things|*and the quiet ones: thank you*
your kindness|*went a long way*
*a thank-you*|as wide as the bay
with a grateful heart|*and muddy boots*
*thank you, {name},*|you made the day
thank you for time,|*the dearest thing there is*
you held the line|*when the wind was strong*
somebody ought to tell you:|*you are wonderful*
for open doors|*and warm kitchens: thanks*`,
  love: `
*you and me*|and the kettle on
{name} *and* {other}
*the day*|we said yes
two left shoes|*one right pair*
I would choose you|*in any weather*
here begins|*the best of it*
*hand in hand*|since {year}
our favourite place|*is next to each other*
*still laughing*|after all these years
love is a long walk|*with good company*
you are my|*safe harbour*
*so this is happiness*
two hearts,|*one washing line*
every road with you|*is the scenic one*
*{years} years*|and I would do it again`,
  children: `
*hello, little one*
{name}|*born to be loved*
ten tiny toes,|*one enormous change*
*so small,*|so completely here
first steps,|*big wide world*
*growing*|like sunflowers do
sticky fingers,|*shining eyes*
*puddles*|were made for jumping
curious hands,|*fearless heart*
the art of being|*{age} years old*
let them be little|*a little longer*
*what a face!*
asleep at last|*and loved the whole time*
*today's treasure:*|one stick, two shells, a feather
why walk|*when you can hop*
the first tooth,|*the first gap*
*mischief*|in its best jacket
wonder lives|*at knee height*`,
  family: `
*this is us*
the loud ones,|*the dear ones, my ones*
*family:*|where the stories start
three generations,|*one sofa*
same nose,|*same laugh, same love*
*grandma's hands*|know everything
grandad tells it|*the long way round*
brothers:|*half rivals, all hearts*
sisters know|*all the secrets*
*cousins*|are friends you were given
the table grew|*and so did we*
*roots below,*|branches everywhere
we saved you|*a chair*
all of us|*in one picture, for once*
Sunday|*all together*
like mother,|*like daughter, like thunder*`,
  friends: `
*good friends,*|good day
we laughed until|*it hurt, then once more*
friends since {year}|*and not done yet*
*you bring the wind,*|I bring the kite
the ones who stay|*for the washing-up*
*partners*|in nonsense
the same joke|*for twenty years*
near or far,|*never strangers*
*my people*
we go together|*like rain and boots*
talk all night,|*sleep some other time*
old friends|*are the best blankets*`,
  pets: `
*best friend*|on four legs
who's a good dog?|*{name} is*
*wet nose,*|warm heart
the cat allowed|*this picture*
*paw prints*|all over my heart
fetch, nap,|*repeat*
*chief of the sofa*
he heard|*the word walk*
whiskers first,|*questions never*
home is where|*the fur is*
small paws,|*great plans*
she came for the food|*and stayed for love*
*purring*|since {year}`,
  travel: `
*off we go*
somewhere new|*with the same old hats*
the map said no,|*we said yes*
*{place}*|{year}
*lost,*|and glad of it
collect|*horizons*
the long way|*was the right way*
*window seat*
tickets, snacks,|*butterflies*
a suitcase|*full of stories*
wish you were here,|*and here you are*
*out there*|is where we woke up
over the hill|*and then the next one*
every town|*keeps one good bench*
*postcards*|from the good days`,
  sea: `
*salt in our hair*
sand|*in absolutely everything*
*low tide,*|high spirits
the sea said hush|*and so we did*
barefoot|*since breakfast*
*tide pools:*|small worlds with doors
follow the gulls|*they know about chips*
*shore thing*
waves keep coming|*and so do we*
a pocket|*full of shells*
*hold on tight,*|let it fly
wind in the lines,|*sun on our backs*
the lighthouse|*winked first*
days as wide|*as the bay*`,
  spring: `
*spring*|came up the path
first green,|*first bare knees*
*everything*|is beginning
rain on Monday,|*tulips on Tuesday*
*bud by bud*
wake up, garden,|*we missed you*
mud season:|*a love story*
*hello sunshine,*|where have you been?
nests and boots|*and open windows*
new leaves|*turned over*
*lambs, kites, daffodils*`,
  summer: `
*long days,*|short sleeves
ice cream|*for breakfast (once)*
*summer*|was here
sun-warm|*and freckled*
the grass knows|*all our games*
*lemonade weather*
nothing to do|*and all day to do it*
*barefoot*|until September
strawberries|*never reached the bowl*
fireflies|*stayed up with us*
*swim first,*|talk later`,
  autumn: `
*crunch*|went the path
leaf by leaf|*the year lets go*
*jumper weather*
apples, smoke,|*early stars*
kick the leaves|*they like it*
*pumpkin*|in charge
a pocket|*of conkers*
golden hour,|*all day long*
lanterns lit,|*mittens on*
*soup's on*
the wind has news|*from everywhere*`,
  winter: `
*snow day!*
cold hands,|*warm socks, hot cocoa*
the quiet|*after the snow*
*frost*|drew on every window
*bundled up*|and out we went
small days,|*bright lamps*
the robin came|*for crumbs and company*
*sledge first,*|thaw later
stay in|*and call it an adventure*
breath like dragons,|*noses like cherries*
*under one blanket*`,
  festive: `
*merry*|and a little bit messy
peace at home,|*crumbs on the floor*
*the tree is up,*|so is everyone
paper, ribbon,|*secrets*
*happy new year*|{year}
here's to the next|*three hundred and sixty-five*
*eggs, eggs,*|everywhere
lights in the dark,|*songs in the kitchen*
*all the trimmings*
leave one out|*for tomorrow*
boo!|*said the smallest ghost*
*treats*|before tricks
a harvest table|*with room for more*
*midnight,*|and nobody yawned`,
  school: `
*first day*|of school {year}
new shoes,|*new pencil case, new world*
*you did it,* {name}!
look how far|*you flew*
*top of the class*|in being you
ink on her hands,|*stars in her eyes*
the cap is on,|*the world is wide*
*goal!*
practice, patience,|*applause*
*first prize*|for trying
learned today:|*nearly everything*
*so proud*|of {name}
one book|*leads to the next*`,
  home: `
*home*|sweet, cluttered home
*this ordinary day*|turned out lovely
keys, cat, kettle:|*home*
*made with love*|and too much flour
the garden|*made us late again*
pancakes|*are a plan*
*nothing much*|happened, happily
little things,|*said twice*
*our first door key*
Tuesday,|*but nice*
*baked today,*|gone today
light in the window,|*someone is in*
*good morning,*|good coffee
the dishes can wait|*the stars cannot*`,
  loss: `
*always*|in our hearts
we carry you|*wherever we go*
*remembering {name}*
what we have loved|*stays with us*
your chair is empty,|*your stories are not*
*gently missed,*|greatly loved
the song is over,|*we still hum it*
in every spring|*a little of you*
*thank you*|for having been ours
your light|*still reaches us*
with you in thought|*in these quiet days*
{name}|*{from} to {to}*
some kites fly|*beyond the line*`,
};

export interface Sentiment {
  id: string;
  occasion: Occasion;
  /** Lines by line ends; stars round what is written larger. */
  text: string;
}

export const SENTIMENTS: readonly Sentiment[] = (Object.keys(TEXTS) as Occasion[]).flatMap((occasion) =>
  TEXTS[occasion]
    .trim()
    .split('\n')
    .map((line, i) => ({ id: `${occasion}-${i + 1}`, occasion, text: line.replaceAll('|', '\n') })),
);
