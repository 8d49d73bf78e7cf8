export const esPhone = {
  phonesCanConnect: 'Los teléfonos se pueden conectar a este servidor.',
  phonesCannotConnectYet:
    'Los teléfonos aún no se pueden conectar. Mientras tanto, usa esta computadora.',
  answersOverHttps: 'responde por https.',
  certificateNotTrusted:
    'responde, pero aquí no se confía en su certificado. Los teléfonos avisarán y no guardarán páginas para cuando no haya señal.',
  somethingElseAnswers: 'ahí responde otra cosa ({status}). Revisa el servidor web de enfrente.',
  noAnswer: 'no responde. Revisa el nombre, el servidor web de enfrente y la red.',
  qrCodeFor: 'Código QR de {address}',
  pointCameraAtCode: 'Apunta la cámara del teléfono al código y abre el enlace.',
  addToHomeScreen: 'En el menú del navegador, elige ‘Agregar a pantalla de inicio’.',
  openBatchesOnceWithSignal: 'Abre Lotes una vez con señal. Después funciona sin ella.',
  checkedJustNow: 'Revisado ahora',
  whatIsMissing: 'Qué falta',
  chooseAName:
    'Elige un nombre para este servidor que los teléfonos de tu red puedan encontrar, como compost.example.',
  done: 'Hecho.',
  webServerInFront:
    'Pon en esta computadora un servidor web con https enfrente. Con caddy de Debian, su archivo dice:',
  startWithTheName: 'Inicia Zealous Heap con ese nombre:',
  whyHttps:
    'Sin https un teléfono puede registrar, pero el navegador no guarda nada para cuando no haya señal.',
  checkAgain: 'Revisar otra vez',
};
