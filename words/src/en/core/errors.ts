import type { ErrorCode } from '@steady-scatter/core/errors';

/** What is wrong with what was typed, by the codes of core; and what is named in it. */
export const errors = {
  'errors.what.size': 'The size',
  'errors.what.step': 'The step length',
  'errors.what.water': 'The water',
  'errors.what.band': 'The band',
  'errors.what.side': 'Each side',
  'errors.what.buffer': 'The buffer',
  'errors.what.edgeLength': 'The edge length',
  'errors.what.pointOff': 'The tolerance of a point',
  'errors.what.length': 'Each length',
  'errors.what.knownLine': 'The known distance',
  'errors.what.wheel': 'The wheel reading',
  'errors.what.area': 'The area',
  'errors.what.rowSpacing': 'The row spacing',
  'errors.what.ownFigure': 'Your own figure',
  'errors.what.rowLength': 'The row length',
  'errors.what.package': 'The package',
  'errors.what.fullScoop': 'The full scoop',
  'errors.what.course': 'The course',
  'errors.what.time': 'The time',
  'errors.what.hopper': 'The hopper',
  'errors.what.load': 'The load',
  'errors.what.width': 'The width',
  'errors.what.need': 'The need',
  'errors.what.sprayVolume': 'The spray volume',
  'errors.what.rate': 'The rate',
  'errors.what.amount': 'The amount',
  'errors.what.swept': 'What was swept up',
  'errors.what.leftover': 'What was left',
  'errors.what.goal': 'The goal',
  'errors.what.density': 'The density',
  'errors.what.limit': 'The limit',
  'errors.what.labelPace': 'The label’s pace',
  'errors.what.labelRate': 'The label’s rate',
  'errors.what.ratePaceSpacing': 'A rate, a pace and a spacing',
  'errors.what.courseAndTime': 'A course and its time',
  'errors.what.planFigures': 'The rate, the spacing, the scale step and the pace',
  'errors.what.scaleStep': 'The scale step',
  'errors.what.tolerance': 'The tolerance',
  'errors.what.trayDistance': 'The tray spacing',
  'errors.what.wheelGap': 'The wheel gap',
  'errors.what.trayLength': 'The tray length',
  'errors.what.trayWidth': 'The tray width',
  'errors.what.passSpacing': 'The pass spacing',
  'errors.what.throw': 'The throw',
  'errors.what.acceptedSpacing': 'The accepted spacing',
  'errors.what.pressure': 'The pressure',
  'errors.what.flow': 'The rated flow',
  'errors.what.tank': 'The tank',
  'errors.example.guide': 'Town winter guide',
  'errors.example.storm': 'First snow',
  'errors.example.plan': '2027 season',
  'errors.example.winter': 'Winter 2026–27',
  'errors.example.nozzle': 'Boom fan, medium',
  'errors.example.site': 'Lake front park',
  'errors.example.job': 'Spring feed, lake front',
  'errors.example.rig': 'Red push spreader',
  'errors.example.soilTest': 'School pitch',
  'errors.example.widthTest': 'Red spreader, lake feed, trays',
  'errors.example.ruleSet': 'Town rules',
  'errors.example.product': 'Lake feed 24-0-8',
  'errors.example.calibration': 'Red spreader, lake feed',
  'errors.which.longest': 'the longest of the three',
  'errors.which.sides12': 'sides 1 and 2 with the diagonal',
  'errors.which.sides34': 'sides 3 and 4 with the diagonal',
  'errors.place.end': 'its end',
  'errors.why.notJson': 'this is not JSON',
  'errors.why.noPoints': 'a list of points is missing',
  'errors.why.noNumbers': 'two numbers are missing',
  'errors.why.noCoordinates': 'its coordinates are missing',
  'errors.why.nothing': 'it holds nothing',
  'errors.place.start': 'its beginning',
  'errors.place.line': 'line {line}',
  'errors.place.feature': 'feature {number}',
  'errors.place.point': '{where}, point {number}',
  'errors.why.noShape': '{type} is no kind of shape in GeoJSON',
  'errors.swapped': 'The two look swapped: read the file with them the other way round.',
  'errors.metres': 'If these are meters of a national grid, export the file in degrees (WGS 84).',
  'errors.limit.phosphorus': 'even pure P2O5 has 43.6 %',
  'errors.limit.potassium': 'pure potassium chloride has 52.4 %',
  'errors.nothing': 'Nothing',
  'errors.found':
    '{lines, plural, one {# line} other {# lines}} and {columns, plural, one {# column} other {# columns}}',
  'errors.unitFor': 'This has to be a unit of another kind: it measures {kinds}.',
  'errors.ownIds': 'Each area has to have an id of its own.',
  'errors.text.too-long': 'That is {length} characters long. At most {most} fit here.',
  'errors.number.empty': 'Type a number here, for example {hint}.',
  'errors.number.unreadable': 'This cannot be read as a number: {input}. Write it like {hint}.',
  'errors.number.decimal-comma':
    'The comma in {input} can be read two ways. Write {hint} if it marks a decimal.',
  'errors.number.too-small': '{input} is too small a number to work with. Check it, for example {hint}.',
  'errors.number.too-large': '{input} is too large a number to work with. Check it, for example {hint}.',
  'errors.number.unusable': '{input} cannot be worked with here. A number above 0 is wanted.',
  'errors.quantity.unreadable': 'This cannot be read as {kind}: {input}. Write it like {hint}.',
  'errors.quantity.parts': 'In {input} the parts do not belong together. Write them like {hint}.',
  'errors.quantity.not-positive': '{what} has to be more than 0, for example {hint}.',
  'errors.unit.missing': 'Say which unit {input} is in, for example {hint}.',
  'errors.unit.unknown': 'There is no unit {unit} here. Write it like {hint}.',
  'errors.unit.other-kind': '{unit} does not measure {kind}. Write it like {hint}.',
  'errors.unit.which-ounce':
    'Ounces by weight or fluid ounces? Write {hint} for fluid ounces, or give the weight in lb.',
  'errors.need.too-large':
    '{input} is more than 10 kg or 10 L on each m² and cannot be right. Check the number and the unit.',
  'errors.grade.empty': 'Type the three numbers from the label, for example {hint}.',
  'errors.grade.unreadable': 'A grade has three numbers, N-P2O5-K2O. {input} is not one; {hint} is.',
  'errors.grade.which-nutrient':
    'Which nutrient is it {percent} % of? Write {hint}, or the three numbers of the label.',
  'errors.grade.run-together': 'A grade has three numbers, N-P2O5-K2O, and {input} has two. Is it {hint}?',
  'errors.grade.fractions':
    'A grade is given in percent. Is {input} meant as {hint}? If the label really says so little, end it with %.',
  'errors.grade.over-100':
    '{input} adds up to {sum} %. A product cannot hold more than 100 %; check the label.',
  'errors.grade.unknown-nutrient':
    '{nutrient} is not a nutrient known here. Use S, Ca, Mg or Fe, as in {hint}.',
  'errors.grade.twice': '{nutrient} stands twice in {input}. Give it once, as in {hint}.',
  'errors.nutrient.other-element': '{from} and {to} are not forms of one element.',
  'errors.grade.lacks':
    '{grade} holds no {nutrient}. Choose a product with {nutrient}, or change what is needed.',
  'errors.grade.too-much-elemental':
    'No product holds {percent} % elemental {nutrient}: {limit}. Leave out “elemental” if the label gives the oxide.',
  'errors.percent.unreadable': 'Write the share as a percentage between 0 and 100, for example {hint}.',
  'errors.size.empty': 'Type a size or length × width, for example {hint}.',
  'errors.size.all-cut': 'In {input} as much is cut out as there is. Check the parts after the minus.',
  'errors.size.sides': '{input} has {count} sides. Write length × width, like {hint}, or a size.',
  'errors.size.band': 'What follows ± is how far the size may be off: up to 100 % of it, as in {hint}.',
  'errors.size.too-large': '{input} is more than 10 000 ha. Check the number and the unit.',
  'errors.size.too-small': '{input} is too small for an area. Check the number and the unit.',
  'errors.shape.triangle':
    'These three cannot close to a triangle: the longest side has to be shorter than the other two together. Check {which}.',
  'errors.shape.ring': 'The inner radius has to be smaller than the outer one.',
  'errors.shape.open':
    'This walk ends {share} % of its length away from where it began. Check the sides and the angles; one may be on the wrong side.',
  'errors.shape.crosses':
    'The edge crosses itself, so what is inside is not clear. Put the corners in their order around the ground.',
  'errors.shape.flat': 'This shape has no ground in it. Check its lengths.',
  'errors.shape.too-few': 'A {shape} needs at least {least} of them.',
  'errors.shape.unreadable': 'This cannot be read as a shape: {input}. Call it out like {hint}.',
  'errors.shape.count': 'A {shape} needs these lengths: {wanted}.',
  'errors.place.half':
    'A place needs both its latitude and its longitude, for example 47.12345 and -91.54321.',
  'errors.place.range':
    '{input} is out of range: it has to lie between -{most} and {most} degrees. Latitude goes first, then longitude.',
  'errors.area.tangled':
    'These outlines have more than {most} points where they lie over each other. Simplify them, or put them in areas of their own.',
  'errors.edge.too-many-corners':
    'The edges that hold product back have more than {most} corners in this area. Simplify the boundary, or make several areas.',
  'errors.edge.corner': 'This part has corners 1 to {most}, and {input} is none of them.',
  'errors.edge.no-part': 'Say which part the edge belongs to; the part has to be drawn first.',
  'errors.edge.needs-place':
    'On a sum sheet the parts have no place, so an edge all round is not known. Place the parts, or give the length of the edge.',
  'errors.file.too-large': 'The file has {size}; at most {most} can be read. Export just the boundary.',
  'errors.file.empty': 'The file is empty.',
  'errors.file.unknown':
    'This is not a boundary file that is known here. Take GeoJSON, KML, GPX or a CSV file of points.',
  'errors.file.zipped': 'This is a zipped file. Unpack it and take the file inside.',
  'errors.file.broken': 'The file breaks off or is damaged at {place}: {why}. Export it once more.',
  'errors.file.declares':
    'The file declares entities or a document type at {place}. Boundary files have no need of them, and it is not read.',
  'errors.file.no-ground':
    'There is no boundary, walked track or list of at least three points in this file.',
  'errors.file.range':
    'At {place} stands latitude {lat}, longitude {lon}, which is nowhere on earth. {advice}',
  'errors.file.other-system':
    'The coordinates are in {input}. Export them as WGS 84, in degrees of longitude and latitude.',
  'errors.file.too-many-points': 'The file has more than {most} points. Export just the boundary.',
  'errors.file.columns':
    'The first line has to name the columns: lat and lon, or x and y in meters. It says {input}.',
  'errors.file.number': 'At {place} this is not a number: {input}.',
  'errors.pace.unknown':
    'Your pace is not known yet. Walk a line of known length and type how many paces it took.',
  'errors.price.unreadable':
    'Write the price as an amount of 0 or more with at most two decimals, for example {hint}.',
  'errors.count.unreadable': 'Write a number of 0 or more, for example {hint}.',
  'errors.count.whole': 'Write a whole number from 1 to {most}, not {input}.',
  'errors.product.lacks-density':
    'A liquid needs its density, for example {hint}: without it a share by weight says nothing of a volume.',
  'errors.product.range': 'The low rate is above the high one. Write them the other way round: {hint}.',
  'errors.package.too-large':
    '{input} is more than 100 t or 100 000 L in one package. Check the number and the unit.',
  'errors.scoop.not-over-tare':
    '{input} is not more than the empty scoop. The full scoop has to weigh {hint}; the tare is subtracted here.',
  'errors.passes.no-ground': 'There is no ground to walk: measure the area first.',
  'errors.passes.too-many':
    'That is more than {most} passes over this ground. Check the pass spacing and its unit.',
  'errors.passes.trims': 'Trim passes: a whole number from 0 to {most}.',
  'errors.passes.heading':
    'A heading is degrees clockwise from up, from 0 to 180, for example 45, not {input}.',
  'errors.passes.too-many-fills':
    'That is more than {most} fills. Check what the hopper holds, the reserve, and their units.',
  'errors.passes.too-many-blocks':
    'That is more than {most} blocks to mark out. Make them larger, for example 1000 ft2.',
  'errors.test.nothing-out':
    'Less has to be left than went in, and a full container has to be heavier than the empty one. Check which weighing is which.',
  'errors.test.too-much':
    'That is more than 5 kg on each m², which no spreader delivers. Check the units of the weighings and the lengths.',
  'errors.trays.order':
    'The positions have to rise from left to right, each once, for example -1 -0.5 0 0.5 1.',
  'errors.trays.overlap':
    'The trays are wider than they stand apart, so they would lie over each other. Check both.',
  'errors.trays.far':
    'The trays would stand {span} m apart from end to end, and nothing throws as far. Is it {hint}?',
  'errors.trays.few': 'A pattern needs at least three trays across the throw. Set out more of them.',
  'errors.trays.table':
    'The first column has to hold the places of the trays, left ones below 0, and each further one what a row of them caught: 3 to 200 lines. Found {input}.',
  'errors.trays.nothing':
    'All trays of this row are empty, so there is no pattern in it. Type what they caught.',
  'errors.curve.points': 'A curve needs at least two settings, lowest first, each with its rate.',
  'errors.calibration.other-machine':
    'The test runs here were made with another machine. Start a new calibration for this one.',
  'errors.run.overwritten':
    'The reading {input} was saved before. Take it again from the run, so that both stay side by side.',
  'errors.tests.columns':
    'This is not a table of tests. Missing columns: {columns}. Export tests from the bench to see how one looks.',
  'errors.tests.reading': 'This is no reading of that method: {input}. Write it like {label}: 48.00 lb.',
  'errors.tests.version': 'This file is not one of tests, or it is from a later version: {input}.',
  'errors.scale.numbers':
    'The last mark has to be above the first, with a step between them and at most {most} marks.',
  'errors.scale.letters': 'The marks have to run from one letter to a later one, for example A to M.',
  'errors.measures.line':
    'Say each cup or jug with what it holds: “blue jug 64 fl oz, cup 8 fl oz”. “{input}” says no volume.',
  'errors.scale.line':
    'These are no marks: “{input}”. Say “0 to 30 by 1/2, closed at 0”, “A to M”, or your own from shut on: “shut, thin line, thick line”.',
  'errors.scale.twice': 'Two marks have the same name. Give each its own.',
  'errors.scale.mark': 'There is no mark {input} on this scale; it runs from {first} to {last}.',
  'errors.name.empty': 'Give it a name, for example {example}.',
  'errors.mix.product-larger':
    'The product alone is more than this spray volume, so no water would be left. Check the spray volume and the rate.',
  'errors.brine.below-water':
    '“{input}” is less than water shows. A brine reads above 1.000: look whether the hydrometer floats freely.',
  'errors.pavement.slip':
    'Pavement of {input} needs no de-icer here, or is colder than any winter. Look at the unit, for example {hint}.',
  'errors.pavement.limit':
    'A de-icer works down to a temperature below freezing. {input} is not one: look at the sign and the unit, for example {hint}.',
  'errors.guide.band':
    'The coldest temperature is not below the warmest. Write them the other way round: {hint}.',
  'errors.guide.lane': 'A rate on a lane needs the lane width, for example {hint}.',
  'errors.guide.situation.empty': 'Say what this line is for, for example Frost or Light snow.',
  'errors.guide.rate.empty':
    'Type a rate, for example {hint}, or say under Advice what is done instead: “Plow only”.',
  'errors.guide.choice': '“{input}” is not one of these: {hint}.',
  'errors.guide.columns':
    'A guide needs a heading for each column, at least Situation and Low. Known are: {hint}.',
  'errors.guide.lines': 'A guide has at most {most} lines.',
  'errors.storm.ends': 'The storm ends before it begins. Its last day is {hint} or later.',
  'errors.plan.ends': 'The plan ends before it begins. Its last day is {hint} or later.',
  'errors.plan.long': 'A plan reaches over {most} days at most. Make two of it.',
  'errors.plan.outside': '{input} on {area} lies outside the plan. It goes from {from} to {to}.',
  'errors.plan.many': 'A plan holds {most} portions at most. Choose fewer areas, or fewer times.',
  'errors.winter.ends': 'The winter ends before it begins. Its last day is {hint} or later.',
  'errors.application.swept': 'More came back than went out: {swept} of {amount}. Look at both.',
  'errors.temperature.slip': '{input} is no temperature of air or soil. Check the unit, as in {hint}.',
  'errors.look.nothing': 'Choose how it looks, or write a note.',
  'errors.time.unreadable': '{input} is not a time of day. Write hours and minutes, like {hint}.',
  'errors.date.future': '{input} is in the future. Check the day.',
  'errors.what.wind': 'The wind',
  'errors.example.person': 'R. Fenn',
  'errors.application.until': 'It ends before it begins. Look at the times.',
  'errors.area-name.empty': 'Say which area it was, for example Church lot.',
  'errors.brine.too-strong':
    'No more than {most} % of this salt dissolves for sure: check the salt, or the number.',
  'errors.mix.no-need': 'Type at least one need above 0, for example 0.9 N.',
  'errors.csv.formula':
    '{input} is a formula of a spreadsheet. Save the values instead of the formulas, and import that.',
  'errors.kind.unknown': 'There is no kind {input}. It can be one of these: {kinds}.',
  'errors.ph.unreadable': 'A pH lies between 2 and 12, for example 6.2. {input} is not one.',
  'errors.season.unreadable': '{input} is not a day of the year. Write month-day, like {hint}.',
  'errors.date.unreadable': '{input} is not a day in the calendar. Write year-month-day, like {hint}.',
} as const satisfies Readonly<Record<`errors.${ErrorCode}`, string> & Record<string, string>>;
