import { makeBrand } from "../../core/kit";
import type { Brand } from "../../core/brand";
import type { FileId, PictureFile } from "../../core/files";
import { loadType, piecePictures } from "../../core/needs";
import type { Piece } from "../../core/piece";
import type { Sources } from "../../core/resolve";
import { Typesetter } from "../../core/type";
import { fileId } from "../../server/files/hash";
import { FolderFiles } from "../../server/files/folders";
import { toSfnt } from "../../server/files/sfnt";
import { WithShipped } from "../../server/files/shipped";
import { iconLookup } from "../../server/render/icons";
import { inspectPicture } from "../../server/render/inspect";
import { demoFolder, fontFolder } from "./demo";

/** What people type whom nobody knows: a message, and whether it was kept aside while the program was tuned. */
export interface Message {
  name: string;
  typed: string;
  aside?: true;
}

const m = (name: string, typed: string): Message => ({ name, typed });
const aside = (name: string, typed: string): Message => ({ name, typed, aside: true });

export const messages: readonly Message[] = [
  m(
    "chair",
    "Build a chair in a weekend\nFor people who have never held a plane\nSaturday 12 and Sunday 13 April, 9:00\nat the old tollgate\n€ 180, tools included\nSave a bench\n@tollgate.joinery",
  ),
  m("concert", "Late strings\nFriday 14 November, 21:30\nat Weir Lane station\n€ 4"),
  m(
    "sale",
    "SALE\nEverything for the balcony\n30 % off until Sunday\nShop the pots\npots-and-more.example",
  ),
  m(
    "quotation",
    "“I came for the soup and stayed for the people.”\n— Ines, volunteer since 2019\nJoin the kitchen\n@long.table",
  ),
  m(
    "nine-points",
    "Nine things in a good tool bag\n- A sharp pencil\n- Folding rule\n- Block plane\n- Two clamps\n- Marking gauge\n- Small square\n- Chisel, 12 mm\n- Pull saw\n- A rag with oil",
  ),
  m("figure", "87 %\nof our bread is gone by noon\nCounted every day in May\nCome early"),
  m("emoji", "Soup day 🍲\nBring a bowl 🥣 and a friend\nThursday, 12:00"),
  m("one-word", "Sold out"),
  m(
    "german",
    "Frühlingsputz auf dem Wochenmarkt\nAlles muss an die frische Luft\nSamstag, 21. März, 8:00 bis 14:00\nRathausplatz\n3,50 €\n@markt.am.rathaus",
  ),
  m(
    "arabic",
    "ورشة الخط العربي\nللمبتدئين من كل الأعمار\nالسبت 12 أبريل، 18:00\n25 €\n@dar.alkhatt",
  ),
  m("japanese", "はじめての陶芸\n土にふれる一日\n4月12日 10:00\n¥ 3,500\n@tsuchi.studio"),
  m(
    "hiring",
    "WE ARE HIRING\nA gardener for the roof\nTwenty hours a week, from the first of March\n- Paid lunch\n- Own tools\n- A view over the river\nWrite to us\nroof-garden.example",
  ),
  m(
    "price-words",
    "Home internet without the small print\nfrom 12,90 zł a month\nNo contract, no engineer, no waiting\nOrder today\nfastline.example",
  ),
  m(
    "long-headline",
    "How three neighbours turned a flooded cellar into the smallest cinema in town\nA story in ten pictures\nRead it\n@cellar.cinema",
  ),
  m(
    "event-all",
    "OPEN AIR\nFilms under the bridge\nBring a blanket, we bring the sound\nThursday 3 July, 22:00\nunder the Harbour Bridge\n€ 6, children free\nGet a ticket\n@bridge.films\nbridge-films.example",
  ),
  m("question", "Tea or coffee?\nTell us below\n@corner.cups"),
  m(
    "thanks",
    "Thank you\nto the 48 people who planted 300 trees\nin Miller Park on Sunday\n@green.miller",
  ),
  m(
    "dentist",
    "Your next check-up is free\nFor new patients until the end of June\nBook online\nbright-dental.example\n@bright.dental",
  ),
  m(
    "race",
    "Run the old railway\n10 km, flat and shady\nSunday 18 May, 9:30\nRegister\n€ 15\nat Mill Hall",
  ),
  m(
    "long-word",
    "Donaudampfschifffahrtsgesellschaft\nEine Reise in die Vergangenheit\nab 19,50 €\nJetzt buchen",
  ),
  aside(
    "yoga",
    "Slow yoga at seven\nFor stiff backs and early birds\nEvery Tuesday, 7:00\nat Studio Nine\n€ 12 a class\nReserve a mat\n@studio.nine",
  ),
  aside(
    "launch",
    "NEW\nThe quiet kettle\nBoils in two minutes without a whistle\n€ 59\nSee how it works\nkettleworks.example",
  ),
  aside(
    "market",
    "Flea market on the quay\nSunday 7 September, 10:00 to 16:00\nHarbour Quay\nTables from € 10\nSave a table\n@quay.flea",
  ),
  aside("hebrew", "ערב שירה בגן\nעם קפה ועוגה\nיום שלישי, 20:00\n30 €\n@gan.hashira"),
  aside(
    "lecture",
    "Why bees dance\nA talk by the keeper of the city hives\nWednesday 22 October, 19:00\nat the Natural History Museum\nFree, with registration\nRegister\ncity-hives.example",
  ),
  aside("proverb", "“A borrowed saw cuts best.”\n— my grandmother"),
  aside(
    "five-tips",
    "Five ways to keep cut flowers\n1. Cut the stems at an angle\n2. Fresh water each day\n3. No leaves under water\n4. Away from fruit\n5. A cool night",
  ),
  aside(
    "french",
    "La nuit des ateliers\nVingt portes ouvertes dans le vieux port\nSamedi 6 juin, 19 h\nEntrée libre\nVoir le programme\n@nuit.des.ateliers",
  ),
  aside(
    "bakery",
    "Sourdough weekend\nSaturday 4 and Sunday 5 October\nat the mill\n£ 95, lunch and flour included\nBook a place\n@mill.bakery\nmill-bakery.example",
  ),
  aside(
    "opening",
    "We open on Monday\nCoffee, repairs and second-hand bikes\nMonday 2 March, 8:00\n12 Canal Street\nCome by\n@spoke.and.cup",
  ),
];

/** Files that are drawn for a test. */
const drawn = new Map<FileId, Buffer>();

const svg = (width: number, height: number, inside: string): FileId =>
  drawnFile(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${inside}</svg>`,
    ),
  );

/** Keeps a file for the tests. */
export function drawnFile(bytes: Buffer): FileId {
  const id = fileId(bytes);
  drawn.set(id, bytes);
  return id;
}

/** A row of blocks that is as wide and as broken up as letters are. */
const letters = (count: number, fill: string, height = 100): string =>
  Array.from({ length: count }, (_, i) => {
    const x = i * 60;
    return `<path d="M${x} 0h44v${height}h-44z M${x + 14} 18v${height - 36}h16v-${height - 36}z" fill="${fill}" fill-rule="evenodd"/>`;
  }).join("");

interface Kit {
  id: string;
  colours: [name: string, hex: string, role: string][];
  headline: string;
  text: string;
  logo?: FileId;
  ground?: "light" | "dark" | "any";
}

const kits = (): Kit[] => [
  {
    id: "tollgate",
    colours: [
      ["Brown", "#7A3E1D", "primary"],
      ["Green", "#2F5D3A", "accent"],
      ["White", "#FFFFFF", "paper"],
    ],
    headline: "playfair-display",
    text: "figtree",
    // A full logo in two colours, dark on nothing.
    logo: svg(
      420,
      120,
      `<path d="M0 110L50 0L100 110Z" fill="#7A3E1D"/><path d="M60 110L100 40L140 110Z" fill="#2F5D3A"/><g transform="translate(170 30) scale(.5)">${letters(8, "#7A3E1D")}</g>`,
    ),
    ground: "light",
  },
  {
    id: "longword",
    colours: [
      ["Blue", "#0B3C8C", "primary"],
      ["Yellow", "#FFD23F", "accent"],
      ["Ice", "#EEF4FF", "paper"],
    ],
    headline: "archivo",
    text: "inter",
    // A word mark twelve times as wide as high.
    logo: svg(1200, 100, letters(20, "#0B3C8C")),
    ground: "light",
  },
  {
    id: "pale",
    colours: [
      ["Rose", "#F6D6D8", "primary"],
      ["Mint", "#D5EFE3", "accent"],
    ],
    headline: "comfortaa",
    text: "nunito",
    // A mark three times as high as wide, in air.
    logo: svg(
      300,
      500,
      `<g transform="translate(110 70)"><path d="M40 0L80 120L40 240L0 120Z" fill="#C2475A"/></g>`,
    ),
    ground: "light",
  },
  {
    id: "night",
    colours: [
      ["Night", "#12101C", "primary"],
      ["Violet", "#6C4BD8", "secondary"],
      ["Acid", "#D6FF3F", "accent"],
    ],
    headline: "unbounded",
    text: "archivo",
    // A square mark.
    logo: svg(
      200,
      200,
      `<path d="M100 0A100 100 0 1 1 99 0Z M100 50A50 50 0 1 0 101 50Z" fill="#12101C" fill-rule="evenodd"/>`,
    ),
    ground: "light",
  },
  {
    id: "nologo",
    colours: [
      ["Petrol", "#0F4C4A", "primary"],
      ["Sand", "#F2E3C6", "paper"],
      ["Coral", "#F0705A", "accent"],
    ],
    headline: "bitter",
    text: "alegreya-sans",
  },
];

/** Brands that the program has never met, with logos of other shapes than the demo's; the last has none. */
export function strangeBrands(): Brand[] {
  return kits().map(({ id, colours, headline, text, logo, ground = "any" }) => {
    const brand = makeBrand(
      id,
      {
        name: id.charAt(0).toUpperCase() + id.slice(1),
        colours: colours.map(([name, hex, role]) => ({ name, hex, role }) as never),
        headline: { shelf: headline },
        text: { shelf: text },
      },
      undefined,
    )!;
    const logos = logo ? [{ kind: "full", ground, file: logo }] : [];
    return {
      ...brand,
      logos: logos.map((one) => ({ ink: "own", clear: 0.25, leastWidth: 16, ...one }) as never),
    };
  });
}

const stored = new FolderFiles([demoFolder]);
const files = new WithShipped(fontFolder, {
  read: async (id) => drawn.get(id) ?? stored.read(id),
});
const typesetter = new Typesetter();
const pictures = new Map<string, PictureFile>();

/** Fonts and pictures of some pieces in strange brands, beside those that were asked for before. */
export async function strangeSources(
  entries: readonly { piece: Piece; brand: Brand }[],
): Promise<Sources> {
  for (const { piece, brand } of entries) {
    await loadType(piece, brand, typesetter, async (id) => toSfnt(await files.read(id)));
    for (const id of piecePictures(piece, brand))
      if (!pictures.has(id)) pictures.set(id, await inspectPicture(await files.read(id), id));
  }
  return { typesetter, pictures: (id) => pictures.get(id), icons: iconLookup };
}

export const strangeFiles = files;
