export default soapWordsRoutes.list()
