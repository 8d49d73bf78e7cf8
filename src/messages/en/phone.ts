export const enPhone = {
  phonesCanConnect: 'Phones can connect to this server.',
  phonesCannotConnectYet: 'Phones cannot connect yet. Until then, use this computer.',
  answersOverHttps: 'answers over https.',
  certificateNotTrusted:
    'answers, but its certificate is not trusted here. Phones will warn, and save no pages for when there is no signal.',
  somethingElseAnswers: 'something else answers there ({status}). Check the web server in front.',
  noAnswer: 'no answer. Check the name, the web server in front, and the network.',
  qrCodeFor: 'QR code for {address}',
  pointCameraAtCode: 'Point the phone’s camera at the code and open the link.',
  addToHomeScreen: 'In the browser’s menu, choose ‘Add to Home screen’.',
  openBatchesOnceWithSignal:
    'Open Batches once while there is a signal. After that it works without one.',
  checkedJustNow: 'Checked just now',
  whatIsMissing: 'What is missing',
  chooseAName:
    'Choose a name for this server that phones on your network can find, such as compost.example.',
  done: 'Done.',
  webServerInFront:
    'Put a web server with https in front of it on this computer. With Debian’s caddy, its file says:',
  startWithTheName: 'Start Zealous Heap with that name:',
  whyHttps:
    'Without https a phone can log, but browsers then save nothing for when there is no signal.',
  checkAgain: 'Check again',
} as const;
