export default soapWordsRoutes.put()
