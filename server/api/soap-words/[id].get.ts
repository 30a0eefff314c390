export default soapWordsRoutes.get()
