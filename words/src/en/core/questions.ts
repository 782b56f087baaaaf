/** What is asked before it is believed. */
export const questions = {
  'questions.load': '{typed} is read as {typed} %. Is the active ingredient {meant} of the product?',
  'questions.slow': '{typed} is read as {typed} %. Is {meant} of the nitrogen slow?',
  'questions.needHigh': '{amount} on each {area} at once burns. Is it {meant}?',
  'questions.rateHigh':
    'That comes to {rate} of product, more than any spreader delivers. Is it {amount} on each {area}?',
  'questions.onEach': '{amount} on each {area}',
  'questions.swapped':
    'A package of {typedPackage} for {typedGround} stands the wrong way round. Is it {package} for {ground}?',
  'questions.covers': '{package} covers {ground}',
  'questions.areaUnit':
    '{area} is far from the size of the others, which are in another unit. Is it {meant}?',
  'questions.sprayLow': '{volume} of mix wets nothing. Check the spray volume and its unit.',
  'questions.rateTooHigh':
    'That comes to {rate} of product, more than any spreader delivers. Check the number and the unit.',
  'questions.tray':
    'Tray {number} caught {caught}, {times} times its neighbors. Look for a slip of the decimal point.',
  'questions.nozzle':
    'Nozzle {number} gave {times} times the others. Is that so, or is it {unit} typed for another unit?',
  'questions.speed': 'That is {speed}. Is the course or its time in another unit?',
  'questions.pressure': 'The nozzle is not made for {psi} ({bar}). Is the pressure in another unit?',
  'questions.far':
    'The test run at {setting} comes to {times} times the rate that is wanted, from {net}. Check the units of its weighings and lengths.',
  'questions.apart':
    'Test runs at {setting} differ by {percent} %, which is more than scatter. Exclude the one that went wrong, or keep both.',
  'questions.noFlow':
    'Nothing came out at {setting}, and at {other} it flowed. Look for a bridge in the hopper, or for a wrong mark, and exclude the test run that went wrong.',
  'questions.tare':
    'The empty {container} is typed as 0. Was the scale zeroed with it on? Otherwise weigh it empty.',
  'questions.overfilled':
    'The test run at {setting} delivered {net}, and the hopper holds {hopper}. Was it filled again on the way?',
  'questions.yes.far': 'It is right',
  'questions.yes.apart': 'Keep both',
  'questions.yes.no-flow': 'Leave it out',
  'questions.yes.tare': 'The scale was zeroed',
  'questions.yes.overfilled': 'It was filled again',
} as const;
