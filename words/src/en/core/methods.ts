/** How machines are tested: what to do at each step, and why one can be used or not. */
export const methods = {
  'methods.weigh-back.how':
    'Weigh the filled machine, spread a measured strip at working pace, weigh it again. Start back, open at the line, shut at the line, walk on.',
  'methods.weigh-back.before': 'Gate shut. Weigh the machine as it stands, product in it.',
  'methods.weigh-back.after': 'Weigh the machine again, with what is left in it.',
  'methods.moment.weighIn': 'Weigh in',
  'methods.why.machineScale': 'It takes a scale that carries the machine.',
  'methods.why.freshStrip': 'It takes a fresh strip of ground that may have the product.',
  'methods.why.asAtWork':
    'The machine runs as it does at work, wind or not, and two weighings are all it takes.',
  'methods.fill-time.how':
    'Weigh once what a container holds. Hold it under one outlet and time how long it takes to fill: the watch tells when it should be full.',
  'methods.fill-time.before': 'Weigh once what the container holds, level full.',
  'methods.fill-time.walk': 'Hold the container under the outlet, open, and time until it is level full.',
  'methods.fill-time.after': 'That is all: no scale is needed.',
  'methods.moment.catch': 'Catch',
  'methods.moment.done': 'Done',
  'methods.why.rowsOnly': 'It is for machines that feed rows through an outlet.',
  'methods.why.noScaleContainer':
    'No scale on the spot: a container of known content fills while a watch runs.',
  'methods.run-out.how':
    'Load a weighed amount, spread it on ground of known size, weigh what is left; where it ran out early, take the ground that was covered.',
  'methods.run-out.before': 'Weigh what you fill in, or take the weight on the bag.',
  'methods.run-out.walk': 'Spread it as at work. Where it runs out early, mark the place.',
  'methods.run-out.after': 'Weigh what is left in the hopper.',
  'methods.moment.ground': 'The ground',
  'methods.why.knownGround': 'It takes ground of known size that may have the product.',
  'methods.why.noScaleLoad':
    'No scale on the spot: a load of known weight on ground of known size. Coarse, and good as a check.',
  'methods.outlets.how':
    'Hang a bag under each outlet, drive a measured length at working pace, and weigh each bag.',
  'methods.outlets.before': 'Weigh each bag empty, then hang them.',
  'methods.outlets.walk': 'Drive the measured length at working pace, open at the line, shut at the line.',
  'methods.outlets.after': 'Weigh each bag with what it caught.',
  'methods.why.rowOutletsOnly': 'It is for machines that feed rows through outlets.',
  'methods.why.scaleOutlets': 'It takes a scale for what the outlets gave.',
  'methods.why.eachOutlet': 'It weighs each outlet by itself, and so shows when they differ.',
  'methods.timed-catch.how':
    'Impeller off, a bucket under each outlet: catch for a measured time. Only where product runs standing still.',
  'methods.timed-catch.before': 'Weigh each bucket empty. It is subtracted for you.',
  'methods.timed-catch.walk': 'Impeller off. Open over the bucket and time it; shut at the end.',
  'methods.timed-catch.after': 'Weigh each bucket with what it caught.',
  'methods.why.wheels': 'Wheels drive its metering: standing still, nothing runs.',
  'methods.why.scaleBucket': 'It takes a scale for what the bucket caught.',
  'methods.why.unstirred': 'It runs standing still, but unstirred: good for a first look, then run a strip.',
  'methods.why.standing':
    'Its metering runs standing still: no ground is needed, and a bucket catches all of it.',
  'methods.catch.how':
    'Catch all that falls over a measured length, indoors or in no wind, and weigh the container empty and full.',
  'methods.taped.how':
    'Tape off a rectangle on a smooth floor or on clean pavement, cover all of it once, up and down, and sweep it up.',
  'methods.taped.before': 'Weigh the empty container. It is subtracted for you.',
  'methods.taped.walk':
    'Cover the taped ground evenly: up and down beside each other, open on the ground and shut beyond the tape.',
  'methods.taped.after': 'Sweep up all of it, from inside the tape only, and weigh container and product.',
  'methods.why.floor': 'It needs a smooth floor or clean pavement to sweep.',
  'methods.why.taped': 'The swept product goes back into the hopper, and the next setting is ready at once.',
  'methods.catch.before': 'Weigh the empty container. It is subtracted for you.',
  'methods.catch.after': 'Sweep up all of it and weigh container and product.',
  'methods.why.scaleCaught': 'It takes a scale for what was caught.',
  'methods.why.pesticide': 'A pesticide carrier is never swept up off pavement. Use ground that may have it.',
  'methods.why.tarp': 'It takes a tarp under all that falls, or a smooth floor to sweep.',
  'methods.why.wind': 'Wind carries the throw off the tarp. Wait for still air, or go indoors.',
  'methods.why.helper': 'Nothing is spread on ground; a wide throw is easier to catch with a helper.',
  'methods.why.backIntoHopper': 'Nothing is spread on ground, and what was caught goes back into the hopper.',
  'methods.tray.how':
    'Hang the tray, push a measured length at working pace, and weigh the tray empty and full.',
  'methods.tray.before': 'Weigh the empty tray, then hang it.',
  'methods.tray.after': 'Weigh tray and product. Pour it back.',
  'methods.why.dropOnly': 'Only a drop spreader has a hopper that a tray can hang under.',
  'methods.why.tray': 'It takes a tray that hangs under the hopper.',
  'methods.why.scaleTray': 'It takes a scale for what the tray caught.',
  'methods.why.catchesAll': 'The tray catches all of it, anywhere, in any wind.',
  'methods.spray-catch.how':
    'Time the course at working speed, then stand still and catch each nozzle for the same time at working pressure with all of them spraying; a gun or a knapsack sprays into a bucket.',
  'methods.spray-catch.before':
    'Fill with clean water, start the pump, spray until no air comes. Read the pressure while everything sprays.',
  'methods.spray-catch.walk': 'Catch while all nozzles spray, and time it.',
  'methods.spray-catch.after': 'Read each jug on a level place. Type the volumes down the row.',
  'methods.spray-used.how':
    'Fill to a mark, spray ground of known size as at work, and measure what is left.',
  'methods.spray-used.before': 'Fill in a measured volume.',
  'methods.spray-used.walk': 'Spray all of the ground, as at work.',
  'methods.spray-used.after':
    'Measure what is left: pour it into a jug, or fill up to the mark and take what that took.',
  'methods.moment.prime': 'Fill and prime',
  'methods.moment.fill': 'Fill',
  'methods.moment.volumes': 'Read the jugs',
  'methods.moment.left': 'What is left',
  'methods.setWet': 'Nozzle, pressure and speed control as at work.',
  'methods.courseWet':
    'Measure it with the tape. Go over it at working speed with the tank half full, three times.',
  'methods.why.eachNozzle': 'It shows each nozzle by itself, and so the one that is worn or blocked.',
  'methods.why.bucket': 'It takes a bucket and a jug, and nothing is sprayed on ground.',
  'methods.why.usedOnGround':
    'It needs no watch, but ground of known size, and says nothing of single nozzles.',
  'methods.why.spreads': 'It is for what is sprayed.',
  'methods.walked': 'Start back, open at the line, hold your pace, shut at the line, walk on.',
  'methods.moment.empty': 'Weigh it empty',
  'methods.moment.course': 'The course',
  'methods.moment.walk': 'Walk it',
  'methods.moment.weighOut': 'Weigh out',
  'methods.checks': 'Look it over',
  'methods.checksHow': 'Tick what is right. What is not right is mended first.',
  'methods.set': 'Set the machine',
  'methods.setHow': 'Come to the mark from the closed side: gates have slack.',
  'methods.courseHow': 'Measure it with the tape, or keep the last one.',
  'methods.allInOne': '{how} Caught all in one? Type it under outlet 1 alone.',
  'methods.why.sprays': 'It sprays: its nozzles are caught, not its granules.',
} as const;
