export default soapWordsRoutes.remove()
