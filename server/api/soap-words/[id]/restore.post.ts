export default soapWordsRoutes.restore()
