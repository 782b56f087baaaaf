/**
 * The one catalogue of what is said about wrong input. Each code has one sentence; `{input}`, `{hint}`
 * and other names in braces are filled from the error's facts. Plain words, sentence case, no blame.
 */
export const WORDS = {
  'text.too-long': 'That is {length} characters long; {most} is the most that fits here.',
  'number.empty': 'Type a number here, for example {hint}.',
  'number.unreadable': 'This cannot be read as a number: {input}. Write it like {hint}.',
  'number.decimal-comma': 'The comma in {input} can be read two ways. Write {hint} if it marks a decimal.',
  'number.too-small': '{input} is too small a number to work with. Check it, for example {hint}.',
  'number.too-large': '{input} is too large a number to work with. Check it, for example {hint}.',
  'number.unusable': '{input} cannot be worked with here. A number above 0 is wanted.',
  'quantity.unreadable': 'This cannot be read as {kind}: {input}. Write it like {hint}.',
  'quantity.parts': 'In {input} the parts do not belong together. Write them like {hint}.',
  'quantity.not-positive': '{what} has to be more than 0, for example {hint}.',
  'unit.missing': 'Say which unit {input} is in, for example {hint}.',
  'unit.unknown': 'There is no unit {unit} here. Write it like {hint}.',
  'unit.other-kind': '{unit} does not measure {kind}. Write it like {hint}.',
  'unit.which-ounce':
    'Ounces by weight or fluid ounces? Write {hint} for fluid ounces, or give the weight in lb.',
  'need.too-large':
    '{input} is more than 10 kg or 10 L on each m² and cannot be right. Check the number and the unit.',
  'grade.empty': 'Type the three numbers from the label, for example {hint}.',
  'grade.unreadable': 'A grade has three numbers, N-P2O5-K2O. {input} is not one; {hint} is.',
  'grade.which-nutrient':
    'Which nutrient is it {percent} % of? Write {hint}, or the three numbers of the label.',
  'grade.run-together': 'A grade has three numbers, N-P2O5-K2O, and {input} has two. Is it {hint}?',
  'grade.fractions':
    'A grade is given in percent. Is {input} meant as {hint}? If the label really says so little, end it with %.',
  'grade.over-100': '{input} adds up to {sum} %. A product cannot hold more than 100 %; check the label.',
  'grade.unknown-nutrient': '{nutrient} is not a nutrient kept here. Use S, Ca, Mg or Fe, as in {hint}.',
  'grade.twice': '{nutrient} stands twice in {input}. Give it once, as in {hint}.',
  'nutrient.other-element': '{from} and {to} are not forms of one element.',
  'grade.lacks': '{grade} holds no {nutrient}. Choose a product with {nutrient}, or change what is needed.',
  'grade.too-much-elemental':
    'No product holds {percent} % elemental {nutrient}: {limit}. Leave out “elemental” if the label gives the oxide.',
  'percent.unreadable': 'Write the share as a percentage between 0 and 100, for example {hint}.',
  'size.empty': 'Type a size or length × width, for example {hint}.',
  'size.all-cut': 'In {input} as much is cut out as there is. Check the parts after the minus.',
  'size.sides': '{input} has {count} sides. Write length × width, like {hint}, or a size.',
  'size.band': 'What follows ± is how far the size may be off: up to 100 % of it, as in {hint}.',
  'size.too-large': '{input} is more than 10 000 ha. Check the number and the unit.',
  'size.too-small': '{input} is smaller than a hand. Check the number and the unit.',
  'shape.triangle':
    'These three cannot close to a triangle: the longest side has to be shorter than the other two together. Check {hint}.',
  'shape.ring': 'The inner radius has to be smaller than the outer one.',
  'shape.open':
    'This walk ends {share} % of its length away from where it began. Check the sides and the angles; one may be on the wrong side.',
  'shape.crosses':
    'The edge crosses itself, so what is inside is not clear. Put the corners in their order around the ground.',
  'shape.flat': 'This shape has no ground in it. Check its lengths.',
  'shape.too-few': 'A {words} needs at least {least} of them.',
  'shape.unreadable': 'This cannot be read as a shape: {input}. Call it out like {hint}.',
  'shape.count': 'A {words} needs these lengths: {wanted}.',
  'place.half': 'A place needs both its latitude and its longitude, for example 47.12345 and -91.54321.',
  'place.range':
    '{input} is out of range: it has to lie between -{most} and {most} degrees. Latitude goes first, then longitude.',
  'area.tangled':
    'These outlines have more than {most} points where they lie over each other. Simplify them, or put them in areas of their own.',
  'edge.too-many-corners':
    'The edges that hold product back have more than {most} corners in this area. Simplify the boundary, or make several areas.',
  'edge.corner': 'This part has corners 1 to {most}, and {input} is none of them.',
  'edge.no-part': 'Say which part the edge belongs to; the part has to be drawn first.',
  'edge.needs-place':
    'On a sum sheet the parts have no place, so an edge all round is not known. Place the parts, or give the length of the edge.',
  'file.too-large': 'The file has {size}; {most} is the most that is read here. Export just the boundary.',
  'file.empty': 'The file is empty.',
  'file.unknown':
    'This is not a boundary file that is known here. Take GeoJSON, KML, GPX or a CSV file of points.',
  'file.zipped': 'This is a zipped file. Unpack it and take the file inside.',
  'file.broken': 'The file breaks off or is damaged at {place}: {why}. Export it once more.',
  'file.declares':
    'The file declares entities or a document type at {place}. Boundary files have no need of them, and it is not read.',
  'file.no-ground': 'There is no boundary, walked track or list of at least three points in this file.',
  'file.range': 'At {place} stands latitude {lat}, longitude {lon}, which is nowhere on earth. {hint}',
  'file.other-system':
    'The coordinates are in {input}. Export them as WGS 84, in degrees of longitude and latitude.',
  'file.too-many-points': 'The file has more than {most} points. Export just the boundary.',
  'file.columns':
    'The first line has to name the columns: lat and lon, or x and y in metres. It says {input}.',
  'file.number': 'At {place} this is not a number: {input}.',
  'pace.unknown': 'Your pace is not known yet. Walk a line of known length and type how many paces it took.',
  'price.unreadable':
    'Write the price as an amount of 0 or more with at most two decimals, for example {hint}.',
  'count.unreadable': 'Write a number of 0 or more, for example {hint}.',
  'count.whole': 'Write a whole number from 1 to {most}, not {input}.',
  'product.lacks-density':
    'A liquid needs its density, for example {hint}: without it a share by weight says nothing of a volume.',
  'product.range': 'The low rate is above the high one. Write them the other way round: {hint}.',
  'package.too-large':
    '{input} is more than 100 t or 100 000 L in one package. Check the number and the unit.',
  'scoop.not-over-tare':
    '{input} is not more than the empty scoop. The full scoop has to weigh {hint}; the tare is subtracted here.',
  'test.nothing-out':
    'Less has to be left than went in, and a full container has to be heavier than the empty one. Check which weighing is which.',
  'test.too-much':
    'That is more than 5 kg on each m², which no spreader puts down. Check the units of the weighings and the lengths.',
  'trays.order': 'The positions have to rise from left to right, each once, for example -1 -0.5 0 0.5 1.',
  'trays.overlap':
    'The trays are wider than they stand apart, so they would lie over each other. Check both.',
  'trays.far':
    'The trays would stand {span} m apart from end to end, and nothing throws as far. Is it {hint}?',
  'trays.few': 'A pattern needs at least three trays across the throw. Set out more of them.',
  'trays.table':
    'The first column has to hold the places of the trays, left ones below 0, and each further one what a row of them caught: 3 to 200 lines. Found {input}.',
  'trays.nothing': 'All trays of this row are empty, so there is no pattern in it. Type what they caught.',
  'curve.points': 'A curve needs at least two settings, lowest first, each with its rate.',
  'calibration.other-machine':
    'The test runs here were made with another machine. Start a new calibration for this one.',
  'run.overwritten': 'The reading {input} was kept. Take it anew, so that it stays beside the new one.',
  'tests.columns':
    'This is no table of tests: these columns are missing: {input}. Save tests from the bench to see how one looks.',
  'tests.reading': 'This is no reading of that method: {input}. Write it like {hint}: 48.00 lb.',
  'tests.version': 'This file is not one of tests, or it is from a later version: {input}.',
  'scale.numbers':
    'The last mark has to be above the first, with a step between them and at most {most} marks.',
  'scale.letters': 'The marks have to run from one letter to a later one, for example A to M.',
  'scale.line':
    'These are no marks: “{input}”. Say “0 to 30 by 1/2, closed at 0”, “A to M”, or your own from shut on: “shut, thin line, thick line”.',
  'scale.twice': 'Two marks have the same name. Give each its own.',
  'scale.mark': 'There is no mark {input} on this scale; it runs from {first} to {last}.',
  'name.empty': 'Give it a name, for example {hint}.',
  'mix.product-larger':
    'The product alone is more than this spray volume, so no water would be left. Check the spray volume and the rate.',
  'mix.no-need': 'Type at least one need above 0, for example 0.9 N.',
  'csv.formula':
    '{input} is a formula of a spreadsheet. Save the values instead of the formulas, and import that.',
  'kind.unknown': 'There is no kind {input}. It can be one of these: {hint}.',
  'ph.unreadable': 'A pH lies between 2 and 12, for example 6.2. {input} is not one.',
  'season.unreadable': '{input} is not a day of the year. Write month-day, like {hint}.',
  'date.unreadable': '{input} is not a day in the calendar. Write year-month-day, like {hint}.',
} as const;

/** Stable code of one kind of wrong input. */
export type ErrorCode = keyof typeof WORDS;
